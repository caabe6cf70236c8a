<?php

declare(strict_types=1);

namespace Tests\Stress;

use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Requests to every address there is, with words that no page sends. */
final class Requests
{
    private const ODD = [
        '',
        ' ',
        '0',
        '-1',
        '1e400',
        '-1e308',
        'NaN',
        '1e8',
        '99999999999999999999',
        '31 Dec 9999',
        '9999-12-31',
        '0000-00-00',
        '25:99',
        '23:60',
        '1 1/0"',
        "5\n6",
        '%00',
        '../../etc',
        '<b>x</b>',
        "'; --",
        '{}',
        '[]',
        'true',
        '…',
        '01ARZ3NDEKTSV4RRFFQ69G5FAV',
        '4294967296',
        '0x1F',
        '1,5',
        '١٢٣',
        '🌲',
    ];

    /** Fields that pages send, so that what is asked for is also looked at. */
    private const FIELDS = [
        'name',
        'kind',
        'x',
        'y',
        'z',
        'x1',
        'y1',
        'x2',
        'y2',
        'points',
        'uid',
        'index',
        'drag',
        'dz',
        'dx',
        'station',
        'height',
        'pick',
        'tab',
        'st',
        'run',
        'tint',
        'what',
        'step',
        'by',
        'day',
        'date',
        'until',
        'from',
        'to',
        'hands',
        'weekdays',
        'recipe',
        'zone',
        'mm',
        'share',
        'passes',
        'minutes',
        'colour',
        'width_mm',
        'depth_mm',
        'x_mm',
        'angle_deg',
        'room',
        'logger',
        'day_c',
        'prices',
        'lots',
        'shown',
        'new',
        'cuts',
        'vehicles',
        'elements',
        'grade_points',
        'structures',
        'profile',
        'side',
        'apart',
        'edge',
        'how',
        'layer',
        'rise',
        'lay',
        'on',
        'of',
        'paper',
        'edit',
        'question',
        'move',
        'do',
        'code',
        'role',
        'copy',
        'file',
        'calendar',
        'show_on',
        'certainty',
        'order',
        'tools',
        'due',
        'heater',
        'airflow',
        'school',
        'fewer',
        'one',
        'other',
        'mix',
        'season',
        'units',
        'ratio',
        'seen',
        'form',
        'back',
        'packed',
    ];

    /** What would end or change more than the request that asks for it. */
    private const LEFT = ['layouts.destroy', 'keeping.store', 'keeping.restore', 'search.begin'];

    private readonly Randomizer $dice;

    /** @param  array<string, list<string>>  $known parameter of an address → what may stand there */
    public function __construct(private readonly array $known, int $seed)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
    }

    /** @return array{requests: int, refused: int, broken: int, slow: int, longest_s: float, first: string} */
    public function odd(int $count): array
    {
        $routes = array_values(
            array_filter(iterator_to_array(Routes::getRoutes()), fn (Route $r): bool => ! in_array($r->getName(), self::LEFT, true)),
        );
        $out = ['requests' => 0, 'refused' => 0, 'broken' => 0, 'slow' => 0, 'longest_s' => 0.0, 'first' => ''];
        for ($k = 0; $k < $count; $k++) {
            $route = $routes[$k % count($routes)];
            $method =
                $this->dice->getInt(0, 9) === 0
                    ? ['GET', 'POST', 'PATCH', 'DELETE', 'PUT', 'HEAD'][$this->dice->getInt(0, 5)]
                    : $route->methods()[0];
            $path = (string) preg_replace_callback('/\{(\w+)\??\}/', fn (array $m): string => $this->part($m[1]), $route->uri());
            $input = ['seen' => '999999999'];
            for ($n = $this->dice->getInt(0, 7); $n > 0; $n--) {
                $input[self::FIELDS[$this->dice->getInt(0, count(self::FIELDS) - 1)]] = $this->value();
            }
            $request = Request::create(
                "http://127.0.0.1/{$path}",
                $method,
                $input,
                server: ['REMOTE_ADDR' => '127.0.0.1'] + ($this->dice->getInt(0, 1) === 0 ? ['HTTP_HX_REQUEST' => 'true'] : []),
            );
            $began = microtime(true);
            app()->forgetScopedInstances();
            $answer = app(Kernel::class)->handle($request);
            $status = $answer->getStatusCode();
            $seconds = microtime(true) - $began;
            $out['requests']++;
            $out['refused'] += $status >= 400 && $status < 500 ? 1 : 0;
            $out['slow'] += $seconds > Files::MAX_SECONDS ? 1 : 0;
            $out['longest_s'] = max($out['longest_s'], $seconds);
            if ($status >= 500) {
                $out['broken']++;
                $out['first'] =
                    $out['first'] !== ''
                        ? $out['first']
                        : mb_strimwidth(
                            "{$status} {$method} /{$path} ".
                                ($answer->exception ?? null)?->getMessage().
                                ' '.
                                json_encode($input, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_UNESCAPED_UNICODE),
                            0,
                            900,
                        );
            }
        }

        return $out;
    }

    private function part(string $name): string
    {
        $known = $this->known[$name] ?? [];

        return $known !== [] && $this->dice->getInt(0, 7) > 0
            ? $known[$this->dice->getInt(0, count($known) - 1)]
            : rawurlencode(trim(self::ODD[$this->dice->getInt(0, count(self::ODD) - 1)]) ?: 'x');
    }

    private function value(int $deep = 0): mixed
    {
        $word = self::ODD[$this->dice->getInt(0, count(self::ODD) - 1)];

        return match ($this->dice->getInt(0, 9)) {
            0 => "a\0b",
            1 => "\xC3\x28",
            2 => str_repeat($word === '' ? '9' : $word, 300),
            3, 4 => $deep > 2 ? $word : [$this->value($deep + 1), 'x' => $this->value($deep + 1), 'kind' => $this->value($deep + 1)],
            default => $word,
        };
    }
}
