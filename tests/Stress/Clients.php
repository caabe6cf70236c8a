<?php

declare(strict_types=1);

namespace Tests\Stress;

use CurlHandle;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Several devices that change one layout at once, each by what it last saw. */
final class Clients
{
    private const PATIENCE = 40;

    /** @var list<array{seen: int, jar: string, token: string, sent: array<string, mixed>|null}> */
    private array $clients = [];

    /** @var array<int, int> status → how often */
    public array $statuses = [];

    /** @var list<array{seen: int, step: int, uid: string, adds: bool}> changes that were said to be saved */
    public array $saved = [];

    private ?string $answered = null;

    private readonly Randomizer $dice;

    /** @var array{layout: string, section: string, features: list<string>} */
    private array $things;

    public function __construct(private readonly Target $target, int $count, int $seed)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
        $data = $target->data();
        $layout = $data->query('select id, uid from layouts order by id limit 1')->fetch();
        $this->things = [
            'layout' => $layout['uid'],
            'section' => $data->query("select uid from sections where layout_id = {$layout['id']} order by id limit 1")->fetchColumn(),
            'features' => array_slice(
                $data
                    ->query("select uid from land_features where layout_id = {$layout['id']} and kind in ('spot', 'ridge') order by id")
                    ->fetchAll(\PDO::FETCH_COLUMN),
                0,
                8,
            ),
        ];
        for ($k = 0; $k < $count; $k++) {
            $this->clients[] = ['seen' => -1, 'jar' => (string) tempnam(sys_get_temp_dir(), 'jar'), 'token' => '', 'sent' => null];
        }
        register_shutdown_function(fn () => array_map(fn (array $c): bool => @unlink($c['jar']), $this->clients));
    }

    /** Until so many seconds are over; what is under way then is waited for, unless `$cut` ends it all first. */
    public function work(float $seconds, ?callable $cut = null): void
    {
        $until = microtime(true) + $seconds;
        $multi = curl_multi_init();
        $handles = [];
        foreach (array_keys($this->clients) as $k) {
            $handles[$k] = $this->next($k);
            curl_multi_add_handle($multi, $handles[$k]);
        }
        while ($handles !== []) {
            curl_multi_exec($multi, $running);
            while (($done = curl_multi_info_read($multi)) !== false) {
                $k = (int) array_search($done['handle'], $handles, true);
                $this->take($k, $done['handle'], $done['result']);
                curl_multi_remove_handle($multi, $done['handle']);
                unset($handles[$k]);
                if (microtime(true) < $until) {
                    $handles[$k] = $this->next($k);
                    curl_multi_add_handle($multi, $handles[$k]);
                }
            }
            if ($cut !== null && microtime(true) >= $until) {
                $cut();
                $cut = null;
            }
            curl_multi_select($multi, 0.05);
        }
        curl_multi_close($multi);
    }

    /** One request from start to end. */
    public function post(string $path, array $input = []): array
    {
        $looked = $this->look(0);
        $this->answered = (string) curl_exec($looked);
        $this->take(0, $looked, curl_errno($looked));
        $handle = $this->handle(0, $path, ['POST', $input]);
        $body = curl_exec($handle);
        $this->answered = null;

        return [curl_getinfo($handle, CURLINFO_RESPONSE_CODE), (string) $body];
    }

    public function layout(): string
    {
        return "/layouts/{$this->things['layout']}";
    }

    /** What a device does next: looks where it knows nothing yet or was refused, changes something where not. */
    private function next(int $k): CurlHandle
    {
        return $this->clients[$k]['seen'] >= 0 && $this->clients[$k]['token'] !== '' ? $this->change($k) : $this->look($k);
    }

    private function look(int $k): CurlHandle
    {
        $this->clients[$k]['sent'] = ['uid' => '', 'look' => true];

        return $this->handle($k, $this->clients[$k]['token'] === '' ? '/pair' : "{$this->layout()}/step?seen=-1");
    }

    private function change(int $k): CurlHandle
    {
        $section = "{$this->layout()}/sections/{$this->things['section']}";
        $feature = $this->things['features'][$this->dice->getInt(0, count($this->things['features']) - 1)];
        [$path, $method, $input, $uid, $adds] = match ($this->dice->getInt(0, 9)) {
            0, 1, 2 => [
                "{$section}/land/grip",
                'POST',
                [
                    'drag' => 'point',
                    'uid' => $feature,
                    'index' => 0,
                    'x' => $this->dice->getInt(10, 1190),
                    'y' => $this->dice->getInt(10, 590),
                    'snap' => 0,
                ],
                $feature,
                false,
            ],
            3, 4, 5 => [
                "{$section}/land/grip",
                'POST',
                ['drag' => 'height', 'uid' => $feature, 'index' => 0, 'dz' => $this->dice->getInt(0, 1) === 0 ? 1 : -1],
                $feature,
                true,
            ],
            6 => [
                "{$section}/features",
                'POST',
                [
                    'kind' => 'spot',
                    'points' => [
                        [
                            'x' => $this->dice->getInt(0, 11999) / 10,
                            'y' => $this->dice->getInt(0, 5999) / 10,
                            'z' => $this->dice->getInt(0, 60),
                        ],
                    ],
                ],
                '',
                true,
            ],
            7 => [$this->layout(), 'PATCH', ['name' => 'Layout '.$this->dice->getInt(1, 9999)], $this->things['layout'], false],
            8 => [
                "{$this->layout()}/times",
                'POST',
                ['kind' => 'single', 'date' => '2026-11-'.$this->dice->getInt(10, 28), 'from' => '18:00', 'to' => '21:00'],
                '',
                true,
            ],
            default => ["{$this->layout()}/moves", 'POST', ['move' => 'none.1.1'], '', true],
        };
        $this->clients[$k]['sent'] = ['uid' => $uid, 'seen' => $this->clients[$k]['seen'], 'adds' => $adds, 'look' => false];

        return $this->handle($k, $path, [$method, $input + ['seen' => $this->clients[$k]['seen']]]);
    }

    /** @param  array{string, array<string, mixed>}|null  $send method and form */
    private function handle(int $k, string $path, ?array $send = null): CurlHandle
    {
        $handle = curl_init($this->target->address().$path);
        curl_setopt_array($handle, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HEADER => true,
            CURLOPT_TIMEOUT => self::PATIENCE,
            CURLOPT_COOKIEFILE => $this->clients[$k]['jar'],
            CURLOPT_COOKIEJAR => $this->clients[$k]['jar'],
        ]);
        if ($send !== null) {
            curl_setopt(
                $handle,
                CURLOPT_POSTFIELDS,
                http_build_query(
                    ['_token' => $this->clients[$k]['token'], '_method' => $send[0]] + $send[1] + ['seen' => $this->clients[$k]['seen']],
                ),
            );
        }

        return $handle;
    }

    private function take(int $k, CurlHandle $handle, int $fault): void
    {
        $sent = $this->clients[$k]['sent'];
        $this->clients[$k]['sent'] = null;
        if ($fault !== 0) {
            $this->statuses[0] = ($this->statuses[0] ?? 0) + 1;

            return;
        }
        $status = curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        $this->statuses[$status] = ($this->statuses[$status] ?? 0) + 1;
        $answer = $this->answered ?? (string) curl_multi_getcontent($handle);
        $step = preg_match('/^X-Seen: (\d+)|"step":(\d+)/mi', $answer, $m) === 1 ? (int) ($m[2] ?? $m[1]) : null;
        if (preg_match('/name="_token" value="([^"]+)"/', $answer, $m) === 1) {
            $this->clients[$k]['token'] = $m[1];
        }
        if ($status >= 400) {
            // What stands now has to be seen first.
            $this->clients[$k]['seen'] = -1;

            return;
        }
        if ($sent !== null && ! $sent['look'] && $step !== null && $step > $sent['seen'] && $sent['uid'] !== '') {
            $this->saved[] = ['seen' => $sent['seen'], 'step' => $step, 'uid' => $sent['uid'], 'adds' => $sent['adds']];
        }
        $this->clients[$k]['seen'] = $step ?? ($status === 204 ? 0 : $this->clients[$k]['seen']);
    }
}
