<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\House\Devices;
use App\Actions\House\Pairing;
use App\Models\Device;
use App\Models\Role;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** The machine in the house: under which names it answers, whom it lets in, and what it says when it cannot write. */
final class HouseTest extends FeatureCase
{
    private const FAR = ['REMOTE_ADDR' => '192.168.1.20'];

    protected function setUp(): void
    {
        parent::setUp();
        config(['ridge.pairing' => storage_path('framework/testing/pairing'), 'ridge.house' => 'http://192.168.1.10:8080']);
        @unlink((string) config('ridge.pairing'));
    }

    public function test_it_answers_under_its_own_names_and_to_devices_that_were_let_in(): void
    {
        $this->get('http://elsewhere.example/')->assertStatus(421);
        $this->get('http://127.0.0.1/')->assertOk();
        $this->far('GET', 'http://127.0.0.1/')->assertForbidden()->assertSee('devices that were let in');
        config(['ridge.lan' => true]);
        $this->far('GET', '/')->assertRedirect(route('pair.show'));
        $this->far('GET', 'http://8.8.8.8/')->assertStatus(421);
        $this->far('GET', '/layouts/01ARZ3NDEKTSV4RRFFQ69G5FAV/tonight')->assertRedirect(route('pair.show'));
        $this->far('GET', '/pair?code=ABCD-2345')->assertOk()->assertSee('Pair this device')->assertSee('ABCD-2345');
    }

    public function test_a_code_lets_one_device_in_once_within_ten_minutes(): void
    {
        config(['ridge.lan' => true]);
        $code = $this->code(Role::Builder);
        $this->assertMatchesRegularExpression('/^[0-9A-HJKMNP-TV-Z]{4}-[0-9A-HJKMNP-TV-Z]{4}$/', $code);
        $this->pair('0000-0000')->assertSessionHasErrors(['code' => 'That is not the code.']);
        $shown = $this->pair(
            ' '.strtr(strtolower(str_replace('-', ' ', $code)), ['0' => 'o', '1' => 'l']),
            "Phone\u{202E} of the\0 workroom",
        )
            ->assertRedirect(route('layouts.index'))
            ->getCookie(Devices::COOKIE, true)
            ?->getValue();
        $this->far('GET', '/', [], (string) $shown)->assertOk();
        $another = substr((string) $shown, 0, -1).(str_ends_with((string) $shown, '0') ? '1' : '0');
        $this->far('GET', '/', [], $another)->assertRedirect(route('pair.show'));
        $this->pair($code)->assertSessionHasErrors('code');

        $code = $this->code(Role::Builder);
        $this->setClock('2026-10-14T18:40:01Z');
        $this->pair($code)->assertSessionHasErrors([
            'code' => 'That code was used already, or is older than ten minutes; ask for a new one at the bench.',
        ]);
        $this->setClock('2026-10-14T18:40:00Z');
        $this->pair($code)->assertRedirect(route('layouts.index'));

        $this->get('/devices')->assertOk()->assertSee('let in 10 min ago');
        $device = Device::query()->orderBy('id')->firstOrFail();
        $this->followingRedirects()->delete("/devices/{$device->uid}")->assertSee('is let in no longer');
        $this->far('GET', '/', [], (string) $shown)->assertRedirect(route('pair.show'));
        $this->followingRedirects()->delete("/devices/{$device->uid}")->assertSee('taken back already');
    }

    public function test_guessing_is_slowed_for_who_guesses_and_not_for_the_owner(): void
    {
        config(['ridge.lan' => true]);
        $code = $this->code(Role::Builder);
        for ($k = 0; $k < 5; $k++) {
            $this->pair("0000-000{$k}")->assertSessionHasErrors(['code' => 'That is not the code.']);
        }
        $this->pair($code)->assertSessionHasErrors(['code' => 'Tried too often: wait a minute.']);
        for ($k = 0; $k < 40; $k++) {
            $this->pair('0000-0000', address: '192.168.1.'.(30 + $k));
        }
        // Many guess at once: each has one try a minute, the owner too.
        $this->pair('0000-0000', address: '192.168.2.1')->assertSessionHasErrors(['code' => 'That is not the code.']);
        $this->pair('0000-0000', address: '192.168.2.1')->assertSessionHasErrors(['code' => 'Tried too often: wait a minute.']);
        $this->pair($code, address: '192.168.2.2')->assertRedirect(route('layouts.index'));
    }

    public function test_a_guest_looks_and_changes_nothing(): void
    {
        config(['ridge.lan' => true]);
        $section = $this->board();
        $layout = $this->layoutOf($section);
        $this->post('/devices/code', ['role' => 'guest'])
            ->assertOk()
            ->assertSee('may look')
            ->assertSee('http://192.168.1.10:8080/pair?code=', false);
        $guest = (string) $this->pair($this->code(Role::Guest), 'Club')->getCookie(Devices::COOKIE, true)?->getValue();
        $this->far('GET', "/layouts/{$layout->uid}/tonight", [], $guest)->assertOk()->assertSee('This device looks on');
        $this->far('GET', "/layouts/{$layout->uid}/sections/{$section->uid}/land", [], $guest)->assertOk();
        $this->far('GET', "/layouts/{$layout->uid}/step?seen=0", [], $guest)->assertOk();
        foreach (['/devices', '/keeping', '/keeping/ridge-x.ridge-backup.zip'] as $path) {
            $this->far('GET', $path, [], $guest)->assertForbidden();
        }
        $before = $layout->revisions()->count();
        foreach (
            [
                ['POST', "/layouts/{$layout->uid}/undo"],
                ['PATCH', "/layouts/{$layout->uid}"],
                ['DELETE', "/layouts/{$layout->uid}"],
                ['POST', '/layouts'],
                ['POST', '/keeping'],
                ['POST', '/devices/code'],
                ['POST', "/layouts/{$layout->uid}/rooms"],
            ] as [$method, $path]
        ) {
            $this->far($method, $path, ['name' => 'By a guest'], $guest)
                ->assertForbidden()
                ->assertSee('may look, and change nothing');
        }
        $this->assertSame([$before, 'Trial'], [$layout->revisions()->count(), $layout->fresh()?->name]);
    }

    public function test_what_a_page_asks_while_it_stands_there_uses_up_no_words(): void
    {
        $section = $this->board();
        $layout = $this->layoutOf($section);
        $this->from($this->at($section, '/land'))->post("/layouts/{$layout->uid}/undo");
        $this->get("/layouts/{$layout->uid}/step?seen=0")->assertOk();
        $this->get("/layouts/{$layout->uid}/history")->assertSee('Undone: Board added.');
    }

    public function test_trouble_with_the_disk_is_told_and_what_was_typed_is_kept(): void
    {
        $section = $this->board();
        $layout = $this->layoutOf($section);
        foreach (
            [
                'database or disk is full' => 'The disk of this machine is full',
                'attempt to write a readonly database' => 'cannot be written',
                'database is locked' => 'Another device has been saving',
                'disk I/O error' => 'does not answer as it should',
            ] as $sign => $said
        ) {
            DB::statement("create temp trigger trouble before update on layouts begin select raise(abort, '{$sign}'); end");
            $this->post("/layouts/{$layout->uid}", [
                '_method' => 'PATCH',
                'name' => 'Moor & <b>Fell</b>',
                'viewing_edges' => ['', 'left'],
                'gauge_mm' => '16.5',
            ])
                ->assertStatus(507)
                ->assertSee($said)
                ->assertSee('Moor & <b>Fell</b>')
                ->assertSee('name="viewing_edges[1]" value="left"', false)
                ->assertSee('name="_method" value="PATCH"', false)
                ->assertSee('Send it once more');
            DB::statement('drop trigger trouble');
        }
        $this->assertSame('Trial', $layout->fresh()?->name);
    }

    public function test_data_of_a_newer_version_is_left_alone(): void
    {
        DB::table('migrations')->insert(['migration' => '2031_01_01_000001_what_is_to_come', 'batch' => 9]);
        $this->get('/')->assertStatus(503)->assertSee('newer version of Idle Ridge');
        $this->post('/layouts', ['name' => 'Trial', 'ratio' => '87.1', 'gauge_mm' => '16.5', 'units' => 'metric'])->assertStatus(503);
        $this->artisan('ridge:fit')->assertExitCode(1);
        DB::table('migrations')->where('batch', 9)->delete();
        $this->artisan('ridge:fit')->assertExitCode(0);
    }

    private function code(Role $role): string
    {
        return app(Pairing::class)->begin($role);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function pair(string $code, string $name = 'Phone', string $address = '192.168.1.20'): TestResponse
    {
        return $this->call(
            'POST',
            'http://192.168.1.10/pair',
            ['code' => $code, 'name' => str_replace("\0", '', $name)],
            server: ['REMOTE_ADDR' => $address, 'HTTP_REFERER' => 'http://192.168.1.10/pair'],
        );
    }

    /**
     * @param  array<string, mixed>  $input
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function far(string $method, string $path, array $input = [], string $shown = ''): TestResponse
    {
        Cache::forget('pair');

        return $this->withUnencryptedCookies([])->call(
            $method,
            str_starts_with($path, 'http') ? $path : "http://192.168.1.10{$path}",
            $input,
            $shown === ''
                ? []
                : [
                    Devices::COOKIE => app('encrypter')->encrypt(
                        \Illuminate\Cookie\CookieValuePrefix::create(Devices::COOKIE, app('encrypter')->getKey()).$shown,
                        false,
                    ),
                ],
            server: self::FAR,
        );
    }
}
