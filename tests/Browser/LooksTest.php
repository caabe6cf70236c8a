<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\Air\SaveReadings;
use App\Actions\Journal\SaveCheck;
use App\Actions\Layouts\SaveLayout;
use App\Actions\Plan\SaveBenchTimes;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Computed\Water\ComputedWater;
use App\Devices\SimulatedRoom;
use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\Run;
use App\Models\Section;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Project\MirrorFit;
use IdleRidge\Core\Rounds\RoundsDue;
use IdleRidge\Core\Water\WaterBody;
use PHPUnit\Framework\Attributes\DataProvider;

final class LooksTest extends BrowserCase
{
    /** @return list<array{string}> */
    public static function themes(): array
    {
        return [['film'], ['lamp']];
    }

    #[DataProvider('themes')]
    public function test_no_words_overlap_or_are_cut_off_on_land(string $theme): void
    {
        $section = $this->demo();
        $run = Run::query()->where('name', 'Running line')->firstOrFail();
        $siding = Run::query()->where('name', 'Yard siding')->firstOrFail();
        $spot = LandFeature::query()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail();
        $ridge = LandFeature::query()->where('kind', 'ridge')->firstOrFail();
        $this->land($section);
        if ($theme === 'lamp') {
            $this->touch($this->find('.hz-lamp'));
        }
        $looks = ['', '?st=300', '?st=850', '?st=1230', "?pick={$spot->uid}&st=930", "?pick={$ridge->uid}", "?run={$siding->uid}"];
        foreach (['slope', 'damp', 'sun', 'sight'] as $tint) {
            $looks[] = "?tint={$tint}";
        }
        foreach (['line', 'grade', 'formation', 'structures'] as $tab) {
            $looks[] = "?pick={$run->uid}&tab={$tab}&st=700";
        }
        foreach ($looks as $look) {
            $this->land($section, $look);
            $light = $theme === 'film' ? 'system' : 'lamp';
            $this->assertSame($light, $this->js('return document.documentElement.dataset.theme'), 'the lamp stays as it was');
            $this->assertSame([], $this->js(Looks::OVERLAPS), "{$theme} {$look}: words over each other");
            $this->assertSame([], $this->js(Looks::CLIPPED), "{$theme} {$look}: words cut off");
            $this->assertFalse($this->js(Looks::SCROLLS), "{$theme} {$look}: the page scrolls");
        }
    }

    #[DataProvider('themes')]
    public function test_the_other_sections_and_pages_hold_too(string $theme): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $this->visit('/');
        if ($theme === 'lamp') {
            $this->touch($this->find('.hz-lamp'));
        }
        $bank = $layout->features()->where('name', 'Birch bank')->value('uid');
        $pages = [
            ...$this->planning($layout),
            '/',
            '/begin',
            "/layouts/{$layout->uid}/settings",
            ...$this->whole($layout),
            '/nowhere',
            "/layouts/{$layout->uid}/sections/{$section->uid}/land/compare?pick={$bank}",
            "/layouts/{$layout->uid}/sections/{$section->uid}/land/compare?pick={$layout->runs()->value('uid')}&what=batter",
            "/layouts/{$layout->uid}/tonight",
            "/layouts/{$layout->uid}/drying",
            "/layouts/{$layout->uid}/journal",
            ...$this->remembered($layout),
            "/layouts/{$layout->uid}/pots",
            "/layouts/{$layout->uid}/shelf",
            "/layouts/{$layout->uid}/shelf/shopping",
            "/layouts/{$layout->uid}/shelf/prices",
        ];
        foreach ($layout->sections()->get() as $other) {
            foreach (
                [
                    ...$layout
                        ->features()
                        ->whereNotIn('kind', ['spot'])
                        ->get(),
                    ...$layout->runs()->get(),
                ] as $one
            ) {
                if ($theme === 'film' && $this->liesOn($one, $other)) {
                    $pages[] = "/layouts/{$layout->uid}/sections/{$other->uid}/land?pick={$one->uid}&tab=structures";
                }
            }
            array_push(
                $pages,
                ...$this->growing($layout, $other),
                ...$this->watered($layout, $other),
            );
            array_push(
                $pages,
                "/layouts/{$layout->uid}/sections/{$other->uid}/land",
                "/layouts/{$layout->uid}/sections/{$other->uid}/growth",
                "/layouts/{$layout->uid}/sections/{$other->uid}/cuts?layer=3",
                "/layouts/{$layout->uid}/sections/{$other->uid}/cuts?on=sheets",
                "/layouts/{$layout->uid}/sections/{$other->uid}/cuts?on=glue",
                "/layouts/{$layout->uid}/sections/{$other->uid}/cuts?on=risers",
                "/layouts/{$layout->uid}/sections/{$other->uid}/cuts?on=edges",
                "/layouts/{$layout->uid}/sections/{$other->uid}/cuts?on=board",
                "/layouts/{$layout->uid}/sections/{$other->uid}/cuts?on=hidden",
                "/layouts/{$layout->uid}/journal/sections/{$other->uid}",
                "/layouts/{$layout->uid}/rounds/sections/{$other->uid}",
                "/layouts/{$layout->uid}/sections/{$other->uid}/coats",
                "/layouts/{$layout->uid}/sections/{$other->uid}/coats?edit=new",
                "/layouts/{$layout->uid}/sections/{$other->uid}/coats/schools?question=water",
            );
        }
        foreach ($pages as $page) {
            $this->visit($page);
            $this->assertSame([], $this->js(Looks::OVERLAPS), "{$theme} {$page}: words over each other");
            $this->assertSame([], $this->js(Looks::CLIPPED), "{$theme} {$page}: words cut off");
        }
    }

    /** @return list<string> addresses of the journal's and the rounds' screens, with something not right */
    private function remembered(Layout $layout): array
    {
        $work = app(ComputedPlan::class)->plan($layout)->work;
        app(SaveCheck::class)->answer($layout, RoundsDue::of($work)->due[0]->key, 'not right', 'The clip of the lead is broken off', 20.0);
        $at = "/layouts/{$layout->uid}";
        $entry = $layout->journalEntries()->where('data', 'like', '%Sifted soil on Meadow%')->value('uid');
        $zones = array_column($work->project->works->zones, 'uid', 'name');
        [$one, $other] = $layout->photos()->pluck('uid')->all();

        return [
            "{$at}/journal?entry={$entry}",
            "{$at}/journal?words=nothing+of+that&zone=x",
            "{$at}/journal/match?from={$zones['Meadow']}&to={$zones['Birch bank']}",
            "{$at}/photos/{$one}",
            "{$at}/photos/{$one}?with={$other}",
            "{$at}/trials?trial={$layout->trials()->value('uid')}",
            "{$at}/rounds",
            "{$at}/find?for=soil",
            "{$at}/library?recipe=earth-paint",
        ];
    }

    /** @return list<string> addresses of what grows on a board, each picked */
    private function growing(Layout $layout, Section $section): array
    {
        $growth = app(ProjectLoader::class)->of($layout)->works->growth;
        $picked = [...$growth->standsOn($section->uid), ...$section->name === 'Weir Bend' ? $growth->rows : []];

        $page = "/layouts/{$layout->uid}/sections/{$section->uid}/growth";

        return ["{$page}?on=grass", ...array_map(fn (Stand|Row $one): string => "{$page}?pick={$one->uid}&tree=1", $picked)];
    }

    /** @return list<string> addresses of a board’s water: all of it, each by itself, and its mirrors */
    private function watered(Layout $layout, Section $section): array
    {
        $project = app(ProjectLoader::class)->of($layout);
        $survey = app(ComputedWater::class)->survey($project, $project->section($section->uid));
        $page = "/layouts/{$layout->uid}/sections/{$section->uid}/water";

        return [
            $page,
            ...array_map(fn (WaterBody $b): string => "{$page}?pick={$b->uid}", $survey->bodies),
            ...array_map(fn (MirrorFit $f): string => "{$page}?mirror={$f->mirror->uid}", $survey->mirrors),
        ];
    }

    /** @return list<string> addresses of the screens about the plan and the air, with a visit and readings there */
    private function planning(Layout $layout): array
    {
        $room = $layout->rooms()->firstOrFail()->uid;
        $now = intdiv(strtotime('2026-10-14T17:10:00Z'), 60);
        SaveReadings::add($layout, $room, AirLog::of((new SimulatedRoom(11, 18.0, 2.0, 60.0))->readings($now - 1440 * 9, $now)), $now);
        app(SaveBenchTimes::class)->add($layout, [
            'kind' => 'visit',
            'date' => '2026-10-24',
            'until' => '2026-10-25',
            'from' => '10:00',
            'to' => '16:00',
            'hands' => '2',
            'who' => 'A friend',
        ]);
        $visit = $layout->benchSessions()->get()->last()?->uid;
        $root = "/layouts/{$layout->uid}";

        return [
            "{$root}/bench",
            "{$root}/what-if",
            "{$root}/what-if?room={$room}&heater=22&airflow=fan&hands=2",
            "{$root}/what-if?heater=99",
            "{$root}/by",
            "{$root}/by?day=never",
            "{$root}/visits/{$visit}",
            "{$root}/rooms/{$room}",
        ];
    }

    #[DataProvider('themes')]
    public function test_axe_finds_nothing(string $theme): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $run = Run::query()->where('name', 'Running line')->firstOrFail();
        $this->visit('/');
        if ($theme === 'lamp') {
            $this->touch($this->find('.hz-lamp'));
        }
        $axe = (string) file_get_contents(base_path('node_modules/axe-core/axe.min.js'));
        foreach ([[1280, 800], [390, 844]] as [$width, $height]) {
            $this->window($width, $height);
            foreach ($this->pages($layout, $section, $run) as $page) {
                $this->visit($page);
                $this->js($axe);
                $found = $this->browser->executeAsyncScript(
                    'const done = arguments[arguments.length - 1]; axe.run({ runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", '
                        .'"wcag22aa", "best-practice"] }).then((r) => done(r.violations.map((v) => '
                        .'`${v.id}: ${v.nodes.map((n) => n.target.join(" ")).slice(0, 3).join(", ")}`)));',
                );
                $this->assertSame([], $found, "{$theme} {$width} {$page}");
                $over = 'return Math.max(0, document.scrollingElement.scrollWidth - innerWidth)';
                $this->assertLessThanOrEqual(1, $this->js($over), "{$theme} {$width} {$page} is wider than its window");
            }
        }
    }

    /** @return list<string> about all boards together */
    private function whole(Layout $layout): array
    {
        $board = ['load_length_mm' => '1600', 'load_width_mm' => '1050', 'load_height_mm' => '700', 'load_limit_kg' => ''];
        app(SaveLayout::class)->change($layout, ['cuts' => ['board' => $board]]);

        return [
            "/layouts/{$layout->uid}/whole",
            "/layouts/{$layout->uid}/carrying?width=1500&depth=700",
            "/layouts/{$layout->uid}/formations",
            "/layouts/{$layout->uid}/spans?span=350&rise=80",
            "/layouts/{$layout->uid}/spans?span=x",
            "/layouts/{$layout->uid}/curves?radius=610&length=8.4+m&width=x&here=72",
            "/layouts/{$layout->uid}/history",
        ];
    }

    /** @return list<string> */
    private function pages(Layout $layout, Section $section, Run $run): array
    {
        return [
            ...$this->planning($layout),
            '/',
            '/pair',
            "/layouts/{$layout->uid}/library?recipe=two-part-resin",
            "/layouts/{$layout->uid}/palette",
            "/layouts/{$layout->uid}/rules",
            "/layouts/{$layout->uid}/sections/{$section->uid}/coats/schools?question=water",
            "/layouts/{$layout->uid}/settings",
            ...$this->whole($layout),
            "/layouts/{$layout->uid}/sections/{$section->uid}/land",
            "/layouts/{$layout->uid}/sections/{$section->uid}/cuts",
            "/layouts/{$layout->uid}/sections/{$section->uid}/coats",
            "/layouts/{$layout->uid}/sections/{$section->uid}/coats?edit=new",
            "/layouts/{$layout->uid}/tonight",
            "/layouts/{$layout->uid}/drying",
            "/layouts/{$layout->uid}/journal",
            ...$this->remembered($layout),
            "/layouts/{$layout->uid}/pots",
            "/layouts/{$layout->uid}/sections/{$section->uid}/growth",
            ...$this->growing($layout, $section),
            ...$this->growing($layout, $layout->sections()->where('name', 'Weir Bend')->firstOrFail()),
            ...$this->watered($layout, $section),
            ...$this->watered($layout, $layout->sections()->where('name', 'Weir Bend')->firstOrFail()),
            "/layouts/{$layout->uid}/pots?recipe=two-part-resin&by=volume&value=400&cup=500",
            "/layouts/{$layout->uid}/pots/cards",
            "/layouts/{$layout->uid}/shelf?instead=white+glue&lot={$layout->lots()->value('uid')}",
            "/layouts/{$layout->uid}/shelf/shopping",
            "/layouts/{$layout->uid}/shelf/prices",
            "/layouts/{$layout->uid}/sections/{$section->uid}/land?pick={$run->uid}&tab=grade",
            "/layouts/{$layout->uid}/sections/{$section->uid}/land?pick={$run->uid}&tab=structures",
            "/layouts/{$layout->uid}/sections/{$section->uid}/land?tint=sight",
            "/layouts/{$layout->uid}/sections/{$section->uid}/land/compare?pick={$run->uid}",
            '/nowhere',
        ];
    }

    public function test_a_narrow_window_and_a_phone_show_the_views_one_below_the_other(): void
    {
        $section = $this->demo();
        foreach ([[1000, 800], [390, 844]] as [$width, $height]) {
            $this->window($width, $height);
            $this->land($section);
            $tops = $this->js('return ["#plan", "#profile", "#cross"].map((s) => document.querySelector(s).getBoundingClientRect().top)');
            $this->assertLessThan($tops[1], $tops[0]);
            $this->assertLessThan($tops[2], $tops[1]);
            $this->assertFalse($this->js('return document.scrollingElement.scrollWidth > innerWidth + 1'), "{$width}: scrolls sideways");
        }
    }

    public function test_a_wide_window_shows_all_of_it(): void
    {
        $section = $this->demo();
        $this->window(1600, 1000);
        $this->land($section);
        $this->assertFalse($this->js(Looks::SCROLLS));
        foreach (['#plan', '#profile', '#cross'] as $view) {
            $this->assertLessThanOrEqual(
                1000,
                $this->js('return document.querySelector(arguments[0]).getBoundingClientRect().bottom', $view),
                $view,
            );
        }
        $this->assertGreaterThan(
            900,
            $this->js('return document.querySelector("#plan .board").getBoundingClientRect().width'),
            'the plan takes the room',
        );
    }

    #[DataProvider('themes')]
    public function test_an_evening_in_progress_holds_and_fits_a_phone(string $theme): void
    {
        $layout = Layout::query()->findOrFail($this->demo()->layout_id);
        $this->clock('2026-10-14T17:32:00Z');
        $this->visit("/layouts/{$layout->uid}/tonight");
        if ($theme === 'lamp') {
            $this->touch($this->find('.hz-lamp'));
        }
        $this->touch($this->button('Start move 1'));
        $this->assertSame([], $this->js(Looks::OVERLAPS), "{$theme}: words over each other");
        $this->assertSame([], $this->js(Looks::CLIPPED), "{$theme}: words cut off");
        $this->assertFalse($this->js(Looks::SCROLLS), 'the page scrolls');
        $this->window(390, 844);
        $this->visit("/layouts/{$layout->uid}/tonight");
        $this->assertSame([], $this->js(Looks::OVERLAPS), "{$theme}, phone: words over each other");
        $this->assertFalse($this->js('return document.scrollingElement.scrollWidth > innerWidth + 1'), 'scrolls sideways');
        $this->assertGreaterThanOrEqual(56, $this->js('return document.querySelector(".sticky-act .btn").getBoundingClientRect().height'));
        $this->assertLessThanOrEqual(844, $this->js('return document.querySelector(".sticky-act").getBoundingClientRect().bottom'));
        $this->assertLessThan(
            560,
            $this->js('return document.querySelector("#now").getBoundingClientRect().top'),
            'the current move comes first',
        );
        $this->assertSame(
            [],
            $this->js(
                'return [...document.querySelectorAll("#now button, .sticky-act button")].filter((b) => '
                    .'b.checkVisibility() && b.getBoundingClientRect().height < 44).map((b) => b.textContent)',
            ),
        );
    }

    public function test_screens_without_anything_to_show_say_what_to_do(): void
    {
        $this->beginBare('Bare');
        $layout = Layout::query()->firstOrFail();
        $here = "/layouts/{$layout->uid}";
        $this->visit("{$here}/settings");
        $this->touch($this->button('Remove'));
        $this->visit("{$here}/tonight");
        $this->assertStringContainsString('No coats yet', $this->find('main')->getText());
        $this->visit("{$here}/drying");
        $this->assertStringContainsString('nothing can be planned', $this->find('main')->getText());
        foreach (['tonight', 'drying'] as $screen) {
            $this->visit("{$here}/{$screen}");
            $this->assertSame([], $this->js(Looks::OVERLAPS), $screen);
            $this->assertSame([], $this->js(Looks::CLIPPED), $screen);
        }
        $this->visit("{$here}/settings");
        $this->type('#new-name', 'Board');
        $this->touch($this->button('Add the section'));
        $this->press('4');
        $this->assertStringContainsString('A zone is a part of the board', $this->find('main')->getText());
        $this->assertSame([], $this->js(Looks::OVERLAPS));
        $this->assertFalse($this->js(Looks::SCROLLS));
    }

    public function test_an_empty_board_and_no_layout_say_what_to_do_next(): void
    {
        $this->visit('/');
        $this->assertStringContainsString('No layout yet', $this->find('main')->getText());
        $this->assertSame([], $this->js(Looks::OVERLAPS));
        $this->beginBare('Bare');
        $this->assertSame([], $this->js(Looks::OVERLAPS));
        $this->assertSame([], $this->js(Looks::CLIPPED));
        $this->assertFalse($this->js(Looks::SCROLLS));
    }

    public function test_a_file_that_cannot_be_read_is_told_and_a_good_one_opens(): void
    {
        $this->visit('/');
        $bad = (string) tempnam(sys_get_temp_dir(), 'ridge');
        file_put_contents($bad, '{"format": "other"}');
        $this->find('#f-file')->sendKeys($bad);
        $this->touch($this->button('Bring it in'));
        $this->assertStringContainsString('/format: not an Idle Ridge layout', $this->find('#f-file-fault')->getText());
        unlink($bad);
        $this->find('#f-file')->sendKeys(base_path('tests/fixtures/projects/version-7-full.ridge.json'));
        $this->touch($this->button('Bring it in'));
        $this->assertSame('Böard', $this->find('h1')->getText());
        $this->assertStringContainsString('"', $this->find('.title .sub')->getText(), 'shown in inches');
    }

    private function liesOn(LandFeature|Run $one, Section $section): bool
    {
        $x = $one instanceof Run ? $one->x_mm + 1.0 : $one->points[0]['x_mm'];

        return $x >= $section->x_mm && $x < $section->x_mm + $section->width_mm;
    }
}
