<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\FormInput;
use App\Computed\Clock\BenchClock;
use App\Computed\Clock\UlidGenerator;
use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\Run;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use Symfony\Component\Uid\Ulid;

final class InputTest extends FeatureCase
{
    public function test_typed_values_are_read_kept_and_their_faults_gathered(): void
    {
        $typed = new FormInput(['a' => '2,5 cm', 'b' => ['c' => '30°'], 'd' => 'long', 'e' => ['x'], 'f' => ''], Units::Metric);
        $this->assertSame(25.0, $typed->length('a'));
        $this->assertSame(30.0, $typed->number('b.c'));
        $this->assertSame(7.0, $typed->length('f', 7.0));
        $this->assertSame(['a' => '2,5 cm'], $typed->kept());
        $this->assertNan($typed->length('d'));
        $this->assertNan($typed->number('e'));
        try {
            $typed->made(fn () => throw new InvalidValue('unheard', 'd'));
            $this->fail('accepted');
        } catch (InvalidValues $refusals) {
            $this->assertSame(['d', 'e'], array_map(fn (InvalidValue $r): string => $r->place, $refusals->all));
            $this->assertStringContainsString('is not a length', $refusals->all[0]->getMessage(), 'the field says it better');
        }
    }

    public function test_a_field_left_as_shown_keeps_its_unrounded_value(): void
    {
        $third = 1000.0 / 3.0;
        $this->assertSame($third, (new FormInput(['x' => '333.33']))->length('x', current: $third));
        $this->assertSame(333.34, (new FormInput(['x' => '333.34']))->length('x', current: $third));
        $inches = fn (): float => (new FormInput(['x' => '13 1/8"']))->length('x', current: $third);
        $this->assertSame($third, UnitsInUse::during(Units::Imperial, $inches));
    }

    public function test_the_clock_is_frozen_by_a_moment_and_stepped_by_a_file(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'clock');
        $clock = new BenchClock('2026-10-14T18:30:00Z', $file);
        file_put_contents($file, '2026-10-15T20:00:00+02:00');
        $this->assertSame('2026-10-15T18:00:00+00:00', $clock->now()->format('c'));
        unlink($file);
        $this->assertSame('2026-10-14T18:30:00+00:00', $clock->now()->format('c'));
        $uid = (new UlidGenerator($clock))->next();
        $this->assertSame('2026-10-14', Ulid::fromString($uid)->getDateTime()->format('Y-m-d'));
        $this->assertLessThan(120, abs((new BenchClock(null, null))->now()->getTimestamp() - time()));
    }

    public function test_no_nonsense_breaks_the_clock_the_coats_or_the_library(): void
    {
        $layout = $this->demo();
        $section = $layout->sections()->firstOrFail();
        $nonsense = [
            '',
            'NaN',
            '-1e308',
            '9e99',
            "\u{202E}",
            str_repeat('9', 400),
            '<b>',
            '1; drop',
            '../..',
            ['deep' => ['er' => 'x']],
            null,
            '%',
            '0x10',
            "1\n2",
            '-5',
            '2026-02-31',
            '25:99',
        ];
        mt_srand(6);
        $pick = fn (): mixed => $nonsense[mt_rand(0, count($nonsense) - 1)];
        $root = "/layouts/{$layout->uid}";
        $room = $layout->rooms()->firstOrFail()->uid;
        $coat = $layout->coats()->firstOrFail();
        $zone = $layout->zones()->firstOrFail()->uid;
        $laid = $layout->applications()->firstOrFail()->uid;
        for ($k = 0; $k < 170; $k++) {
            [$method, $path, $input] = match ($k % 17) {
                0 => [
                    'POST',
                    '/times',
                    [
                        'kind' => mt_rand(0, 1) ? 'visit' : $pick(),
                        'date' => $pick(),
                        'until' => $pick(),
                        'from' => $pick(),
                        'to' => $pick(),
                        'hands' => $pick(),
                        'who' => $pick(),
                        'weekdays' => $pick(),
                    ],
                ],
                1 => [
                    'PATCH',
                    '/bench',
                    [
                        'certainty' => $pick(),
                        'order' => $pick(),
                        'tools' => [['name' => $pick(), 'count' => $pick()], $pick()],
                        'due' => [['section' => $pick(), 'date' => $pick(), 'milestone' => $pick()], $pick()],
                    ],
                ],
                2 => [
                    'GET',
                    '/what-if',
                    [
                        'room' => $pick(),
                        'heater' => $pick(),
                        'airflow' => $pick(),
                        'date' => $pick(),
                        'from' => $pick(),
                        'to' => $pick(),
                        'hands' => $pick(),
                        'zone' => $pick(),
                        'school' => $pick(),
                        'fewer' => $pick(),
                    ],
                ],
                3 => [
                    'POST',
                    '/what-if',
                    ['room' => $room, 'heater' => $pick(), 'date' => $pick(), 'hands' => $pick(), 'fewer' => $pick()],
                ],
                4 => ['GET', '/by', ['day' => $pick()]],
                5 => ['PATCH', '/search', ['do' => $pick()]],
                6 => [
                    'PATCH',
                    "/rooms/{$room}",
                    [
                        'day_c' => $pick(),
                        'night_rh' => $pick(),
                        'airflow' => $pick(),
                        'day_from' => $pick(),
                        'logger' => $pick(),
                        'volume_m3' => $pick(),
                    ],
                ],
                7 => ['PATCH', "/rooms/{$room}/logger", ['logger' => $pick()]],
                8 => ['POST', "/rooms/{$room}/air", ['file' => $pick()]],
                9 => ['POST', '/bench/calendar', ['calendar' => $pick()]],
                10 => ['DELETE', '/bench/calendar', ['name' => $pick()]],
                11 => [
                    'PATCH',
                    "/sections/{$section->uid}/zones/{$zone}/coats/{$coat->uid}",
                    [
                        'mm' => $pick(),
                        'share' => $pick(),
                        'passes' => $pick(),
                        'blend_mm' => $pick(),
                        'minutes' => $pick(),
                        'colour' => $pick(),
                    ],
                ],
                12 => [
                    'POST',
                    "/sections/{$section->uid}/zones",
                    [
                        'name' => $pick(),
                        'slope_from' => $pick(),
                        'near' => $pick(),
                        'near_to' => $pick(),
                        'crowns' => $pick(),
                        'made' => $pick(),
                        'damp' => $pick(),
                        'outline' => $pick(),
                        'within' => $pick(),
                    ],
                ],
                13 => [
                    'PATCH',
                    '/library/fine-turf',
                    ['parts' => [['value' => $pick()], $pick()], 'minutes' => $pick(), 'window' => $pick(), 'copy' => $pick()],
                ],
                14 => [
                    'POST',
                    '/prices',
                    ['prices' => [['material' => $pick(), 'price' => $pick(), 'amount' => $pick()], $pick()], 'recipe' => $pick()],
                ],
                15 => ['POST', mt_rand(0, 1) ? "/laid/{$laid}/dry" : "/laid/{$laid}/wet", []],
                default => ['POST', '/moves', ['move' => $pick()]],
            };
            $answer = $this->call($method, $root.$path, $input);
            $this->assertLessThan(500, $answer->status(), "{$method} {$path} ".json_encode($input, JSON_PARTIAL_OUTPUT_ON_ERROR));
            $this->get("{$root}/drying")->assertOk();
        }
        $pages = ['tonight', 'bench', 'what-if', 'by', "rooms/{$room}", 'library', 'journal', 'rounds', 'trials', 'find', 'settings'];
        foreach ($pages as $page) {
            $this->get("{$root}/{$page}")->assertOk();
        }
    }

    public function test_no_nonsense_breaks_the_journal_or_the_rounds(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $root = "/layouts/{$layout->uid}";
        $photo = $layout->photos()->firstOrFail()->uid;
        $trial = $layout->trials()->firstOrFail()->uid;
        $board = $layout->sections()->firstOrFail()->uid;
        $run = $layout->runs()->firstOrFail()->uid;
        $check = "film.{$layout->sections()->where('name', 'Birch Cutting')->firstOrFail()->uid}";
        $nonsense = [
            '', 'NaN', '-1', '9e99', "\u{202E}", str_repeat('9', 400), '<b>', ['deep' => ['er' => 'x']],
            null, '"*', '1/0', '5', $board,
        ];
        mt_srand(23);
        $pick = fn (): mixed => $nonsense[mt_rand(0, count($nonsense) - 1)];
        for ($k = 0; $k < 78; $k++) {
            [$method, $path, $input] = match ($k % 13) {
                0 => [
                    'GET',
                    '/journal',
                    ['words' => $pick(), 'zone' => $pick(), 'from' => $pick(), 'before' => $pick(), 'entry' => $pick()],
                ],
                1 => ['POST', '/journal', ['about' => $pick(), 'note' => $pick(), 'verdict' => $pick(), 'section' => $pick()]],
                2 => ['GET', '/journal/match', ['from' => $pick(), 'to' => $pick()]],
                3 => ['POST', '/journal/match', ['from' => $pick(), 'to' => $pick()]],
                4 => ['POST', '/photos', ['picture' => $pick(), 'section' => $pick(), 'entry' => $pick()]],
                5 => [
                    'PATCH',
                    "/photos/{$photo}",
                    ['x' => $pick(), 'y' => $pick(), 'heading' => $pick(), 'pin' => $pick(), 'zone' => $pick()],
                ],
                6 => ['POST', "/photos/{$photo}/touch", ['what' => $pick(), 'x' => $pick(), 'y' => $pick()]],
                7 => ['GET', "/photos/{$photo}", ['with' => $pick()]],
                8 => [
                    'POST',
                    '/trials',
                    ['name' => $pick(), 'recipe' => 'earth-paint', 'wide' => $pick(), 'deep' => $pick(), 'mm' => $pick()],
                ],
                9 => ['PATCH', "/trials/{$trial}", ['used' => $pick(), 'minutes' => $pick(), 'dry' => $pick(), 'verdict' => $pick()]],
                10 => ['POST', '/rounds', ['check' => $check, 'answer' => $pick(), 'note' => $pick(), 'minutes' => $pick()]],
                11 => [
                    'POST',
                    '/rounds/stalls',
                    ['run' => $run, 'station' => $pick(), 'vehicle' => $pick(), 'what' => $pick(), 'pass' => $pick()],
                ],
                default => [
                    'POST',
                    "/sections/{$board}/cuts/hidden",
                    ['kind' => 'screw', 'places' => $pick(), 'bottom' => $pick(), 'top' => $pick(), 'wide' => $pick()],
                ],
            };
            $answer = $this->call($method, $root.$path, $input);
            $this->assertLessThan(500, $answer->status(), "{$method} {$path} ".json_encode($input, JSON_PARTIAL_OUTPUT_ON_ERROR));
        }
        foreach (['journal', 'rounds', 'trials', 'tonight', "photos/{$photo}", "journal/sections/{$board}", 'journal.csv'] as $page) {
            $this->get("{$root}/{$page}")->assertOk();
        }
    }

    public function test_no_nonsense_breaks_pots_or_the_shelf(): void
    {
        $layout = $this->demo();
        $root = "/layouts/{$layout->uid}";
        $lot = $layout->lots()->firstOrFail()->uid;
        $price = $layout->prices()->firstOrFail()->uid;
        $nonsense = [
            '', 'NaN', '-1', '9e99', "\u{202E}", str_repeat('9', 400), '<b>', ['deep' => ['er' => 'x']],
            null, '%', '1/0', "1\n2", '5', 'fine turf',
        ];
        mt_srand(17);
        $pick = fn (): mixed => $nonsense[mt_rand(0, count($nonsense) - 1)];
        for ($k = 0; $k < 60; $k++) {
            [$method, $path, $input] = match ($k % 12) {
                0 => ['POST', '/pots', ['pot' => $pick(), 'recipe' => $pick(), 'by' => $pick(), 'value' => $pick(), 'lots' => $pick()]],
                1 => [
                    'GET',
                    '/pots',
                    ['cup' => $pick(), 'recipe' => 'earth-paint', 'by' => $pick(), 'value' => $pick(), 'material' => $pick()],
                ],
                2 => ['GET', '/pots/weigh', ['pot' => $pick(), 'done' => $pick(), 'before' => $pick(), 'left' => $pick()]],
                3 => ['POST', '/pots/scale', ['scale' => $pick()]],
                4 => [
                    'POST',
                    '/shelf/lots',
                    ['material' => $pick(), 'pack' => $pick(), 'count' => $pick(), 'share' => $pick(), 'gross' => $pick()],
                ],
                5 => [
                    'POST',
                    "/shelf/lots/{$lot}/count",
                    ['gross' => $pick(), 'share' => $pick(), 'amount' => $pick(), 'shown' => $pick()],
                ],
                6 => [
                    'PATCH',
                    "/shelf/lots/{$lot}",
                    ['mark' => $pick(), 'opened' => $pick(), 'keeps_days' => $pick(), 'strength' => $pick()],
                ],
                7 => ['POST', '/shelf/shopping', ['price' => mt_rand(0, 1) ? $price : $pick(), 'count' => $pick()]],
                8 => [
                    'PATCH',
                    '/shelf/shopping',
                    ['shop_on' => $pick(), 'budget' => $pick(), 'carriage' => [$pick()], 'cups' => [$pick(), ['ml' => $pick()]]],
                ],
                9 => [
                    'PATCH',
                    '/shelf/prices',
                    ['prices' => [['uid' => $pick(), 'material' => $pick(), 'amount' => $pick(), 'price' => $pick()], $pick()]],
                ],
                10 => ['POST', '/shelf/again', ['laid' => $pick(), 'material' => $pick(), 'amount' => $pick()]],
                default => ['GET', '/pots', ['mix' => $pick(), 'value' => $pick(), 'move' => $pick()]],
            };
            $answer = $this->call($method, $root.$path, $input);
            $this->assertLessThan(500, $answer->status(), "{$method} {$path} ".json_encode($input, JSON_PARTIAL_OUTPUT_ON_ERROR));
        }
        foreach (['pots', 'pots/cards', 'shelf', 'shelf/shopping', 'shelf/prices', 'tonight'] as $page) {
            $this->get("{$root}/{$page}")->assertOk();
        }
        $this->assertSame([], $this->works($layout->refresh())->store->faults());
    }

    public function test_no_nonsense_breaks_a_page_or_changes_a_thing(): void
    {
        $layout = $this->demo();
        $section = $layout->sections()->firstOrFail();
        $before = $this->state();
        $nonsense = [
            '',
            'NaN',
            '-1e308',
            '9e99',
            "\u{202E}",
            str_repeat('9', 400),
            '<b>',
            '1; drop',
            '../..',
            ['deep' => ['er' => 'x']],
            null,
            '%',
            '0x10',
            "1\n2",
        ];
        mt_srand(5);
        $pick = fn (): mixed => $nonsense[mt_rand(0, count($nonsense) - 1)];
        $uid = $layout->features()->where('kind', 'ridge')->firstOrFail()->uid;
        $run = $layout->runs()->firstOrFail()->uid;
        for ($k = 0; $k < 120; $k++) {
            [$method, $path, $input] = match ($k % 6) {
                0 => [
                    'POST',
                    '/features',
                    ['kind' => $pick(), 'points' => mt_rand(0, 1) ? $pick() : [['x' => $pick(), 'y' => $pick(), 'z' => $pick()]]],
                ],
                1 => ['PATCH', "/features/{$uid}", ['points' => [['x' => $pick(), 'y' => $pick(), 'z' => $pick()]], 'name' => $pick()]],
                2 => ['POST', '/runs', ['x1' => $pick(), 'y1' => $pick(), 'x2' => $pick(), 'y2' => $pick()]],
                3 => [
                    'PATCH',
                    "/runs/{$run}",
                    ['elements' => [['kind' => 'arc', 'radius' => $pick(), 'angle' => $pick()], $pick()], 'heading' => $pick()],
                ],
                4 => [
                    'GET',
                    '/land',
                    [
                        'st' => $pick(),
                        'run' => $pick(),
                        'pick' => $pick(),
                        'at_x' => $pick(),
                        'at_y' => $pick(),
                        'tab' => $pick(),
                        'cx' => $pick(),
                    ],
                ],
                default => [
                    'POST',
                    '/land/preview',
                    ['drag' => 'point', 'uid' => $uid, 'index' => $pick(), 'x' => $pick(), 'y' => $pick()],
                ],
            };
            $answer = $this->call(
                $method,
                $this->at($section, $path),
                $input,
                server: $this->transformHeadersToServerVars(['HX-Request' => 'true']),
            );
            $this->assertLessThan(500, $answer->status(), "{$method} {$path} ".json_encode($input, JSON_PARTIAL_OUTPUT_ON_ERROR));
        }
        $this->assertSame($before, $this->state());
    }

    public function test_no_nonsense_breaks_the_work_or_changes_a_thing(): void
    {
        $layout = $this->demo();
        $section = $layout->sections()->firstOrFail();
        $here = "/layouts/{$layout->uid}";
        $board = $this->at($section);
        [$zone, $coat, $room, $laid] = array_map(fn ($rows): string => $rows->firstOrFail()->uid, [
            $layout->zones(),
            $layout->coats(),
            $layout->rooms(),
            $layout->applications(),
        ]);
        $before = [
            $layout->zones()->pluck('data')->all(),
            $layout->coats()->pluck('data')->all(),
            $layout->rooms()->pluck('data')->all(),
            $layout->applications()->pluck('data')->all(),
            $layout->benchSessions()->pluck('data')->all(),
        ];
        $nonsense = ['NaN', '-1e308', '9e99', "\u{202E}", str_repeat('9', 400), '1; drop', ['deep' => ['er' => 'x']], '%', '0x10', "1\n2"];
        mt_srand(7);
        $pick = fn (): mixed => $nonsense[mt_rand(0, count($nonsense) - 1)];
        for ($k = 0; $k < 110; $k++) {
            [$method, $path, $input] = match ($k % 11) {
                0 => [
                    'POST',
                    "{$board}/zones",
                    ['name' => 'N', 'slope_from' => $pick(), 'slope_to' => $pick(), 'near' => $pick(), 'near_to' => $pick()],
                ],
                1 => [
                    'POST',
                    "{$board}/zones",
                    ['name' => 'N', 'outline' => $pick(), 'points' => [['x' => $pick(), 'y' => $pick()]], 'without' => [$pick()]],
                ],
                2 => ['PATCH', "{$board}/zones/{$zone}", ['name' => 'N', 'near' => 'any', 'near_from' => $pick(), 'near_to' => $pick()]],
                3 => ['POST', "{$board}/zones/{$zone}/coats", ['recipe' => $pick()]],
                4 => ['PATCH', "{$board}/zones/{$zone}/coats/{$coat}", ['mm' => $pick(), 'share' => $pick(), 'passes' => $pick()]],
                5 => [
                    'POST',
                    "{$here}/times",
                    ['kind' => $pick(), 'weekdays' => $pick(), 'date' => $pick(), 'from' => $pick(), 'to' => $pick(), 'hands' => $pick()],
                ],
                6 => [
                    'PATCH',
                    "{$here}/rooms/{$room}",
                    ['day_c' => $pick(), 'day_rh' => $pick(), 'day_from' => $pick(), 'airflow' => $pick()],
                ],
                7 => ['POST', "{$here}/moves", ['move' => $pick()]],
                8 => ['POST', "{$here}/moves/{$laid}/stop", ['share' => $pick()]],
                9 => ['GET', "{$board}/coats", ['zone' => $pick(), 'coat' => $pick(), 'edit' => $pick()]],
                default => ['GET', "{$here}/drying", ['move' => $pick()]],
            };
            $answer = $this->call($method, $path, $input);
            $this->assertLessThan(
                500,
                $answer->status(),
                "{$method} {$path} ".
                    json_encode($input, JSON_PARTIAL_OUTPUT_ON_ERROR).
                    mb_substr($answer->exception?->getMessage() ?? '', 0, 200),
            );
        }
        $this->assertSame($before, [
            $layout->zones()->pluck('data')->all(),
            $layout->coats()->pluck('data')->all(),
            $layout->rooms()->pluck('data')->all(),
            $layout->applications()->pluck('data')->all(),
            $layout->benchSessions()->pluck('data')->all(),
        ]);
    }

    public function test_names_are_shown_as_text(): void
    {
        $section = $this->board();
        $this->post($this->at($section, '/features'), [
            'kind' => 'spot',
            'points' => [['x' => '400', 'y' => '300', 'z' => '50']],
            'name' => '<img src=x>',
        ]);
        $this->get($this->at($section, '/land'))->assertDontSee('<img src=x>', false)->assertSee('&lt;img src=x&gt;', false);
    }

    private function state(): string
    {
        return (string) json_encode([
            Layout::query()->get()->toArray(),
            LandFeature::query()->get()->toArray(),
            Run::query()->get()->toArray(),
        ]);
    }
}
