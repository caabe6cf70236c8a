<?php

declare(strict_types=1);

namespace App\Pages\Water;

use App\Actions\Ledger\Ledger;
use App\Computed\Land\ComputedLand;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Computed\Water\ComputedWater;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Plan\SchoolTrial;
use IdleRidge\Core\Plan\WaterCoats;
use IdleRidge\Core\Project\MirrorFit;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\StreamEnd;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Water\SheetCut;
use IdleRidge\Core\Water\WaterBody;
use IdleRidge\Core\Water\WaterPlan;

/** The water of a board from its bed to its last coat: what it holds, where it would run, how it is made, where it ends. */
final readonly class ShowWater
{
    public function __construct(
        private ProjectLoader $load,
        private ComputedWater $water,
        private ComputedLand $land,
        private ComputedPlan $plan,
        private Library $library,
        private ShowRail $rail,
        private Ledger $ledger,
    ) {
    }

    /** @return array{WaterPage, BenchWork|null, Zone|null, string} what is seen, the work with the water’s bed, why it cannot be so */
    public function page(Layout $layout, SectionRow $row, ?string $picked, ?string $mirror): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $survey = $this->water->survey($project, $section);
        $body = $picked === null ? null : $survey->body($picked);
        $fit = array_values(array_filter($survey->mirrors, fn (MirrorFit $f): bool => $f->mirror->uid === $mirror))[0] ?? null;
        // A board with one water needs no picking.
        $body ??= $fit === null && count($survey->bodies) === 1 ? $survey->bodies[0] : null;
        $plan = $body === null
            ? null
            : $project->works->waters->planOf($body->uid) ?? new WaterPlan('new', $body->uid, $this->starting($body));
        $work = $bed = $trial = null;
        $fault = '';
        if ($body !== null && $plan !== null) {
            [$work, $bed] = $this->water->work($project, $section, $body);
            try {
                $trial = $this->trial($work, $project, $section, $bed, $plan, $body, $plan->school);
            } catch (InvalidValue $refusal) {
                $fault = $refusal->getMessage();
            }
        }
        $beds = [];
        foreach ($survey->bodies as $one) {
            $bands = array_map(fn ($band): float => $band->from, $one->bands($plan->bands ?? 3));
            $beds[$one->uid] = $this->water->outlines($project, $section, $one->uid, $bands ?: [0.0]);
        }
        $page = new WaterPage(
            $project,
            $section,
            $survey,
            $this->land->sheet($project, $section),
            $this->land->model($project, $section),
            $this->water->colours(),
            $body,
            $plan,
            $trial,
            $body === null ? null : $this->water->zone($project, $section, $body->uid),
            $beds,
            $fit,
        );

        return [$page, $work, $bed, $fault];
    }

    /** @return array<string, mixed> for the view water.show */
    public function of(Layout $layout, SectionRow $row, ?string $picked, ?string $mirror): array
    {
        [$page, $work, $bed, $fault] = $this->page($layout, $row, $picked, $mirror);
        $project = $page->project;
        $findings = Rulebook::checkWater($project, $page->survey);

        return [
            'layout' => $layout,
            'section' => $row,
            'page' => $page,
            'rail' => $this->rail->of($project, $page->section),
            'plan' => WaterPlanDrawing::of($page, $findings),
            'cut' => WaterCutDrawing::of($page),
            'findings' => $findings,
            'facts' => $this->facts($page),
            'bodies' => array_map(fn (WaterBody $b): array => $this->line($page, $b), $page->survey->bodies),
            'steps' => $work === null || $page->trial === null || $page->plan === null
                ? []
                : (new WaterSteps($this->library))->of($work, $page->trial, $page->plan),
            'fault' => $fault,
            'schools' => $this->schools($page, $work, $bed),
            'bands' => $this->bands($page),
            'sheetCut' => $this->sheetCut($page),
            'ends' => $this->ends($page),
            'over' => $work === null || $page->zone !== null ? null : $this->over($page, $work),
            'done' => $page->zone === null ? null : $this->done($project, $page->section, $page->zone),
            'faces' => $page->mirror === null ? null : $this->faces($findings, $page->mirror),
            'next' => $this->ledger->next($layout),
        ];
    }

    /** A stream that falls takes what stays on it; still water a pour. */
    private function starting(WaterBody $body): string
    {
        return $body->isStream ? 'water-gloss' : WaterPlan::START_SCHOOL;
    }

    /** @throws InvalidValue when it cannot be made so */
    private function trial(
        BenchWork $work,
        Project $project,
        Section $section,
        Zone $zone,
        WaterPlan $plan,
        WaterBody $body,
        string $school,
    ): ?SchoolTrial {
        $library = $project->library($this->library);
        $base = $library->schools[$school] ?? null;

        return $base === null
            ? null
            : SchoolTrial::of($work, $section, $zone, WaterCoats::school($base, $plan, $body, $library), $library);
    }

    /** @return list<array{label: string, figure: Quantity, note: string}> */
    private function facts(WaterPage $page): array
    {
        $body = $page->body;
        if ($body === null) {
            $all = array_sum(array_map(fn (WaterBody $b): float => $b->curve->volume(), $page->survey->bodies));

            return [
                [
                    'label' => 'Waters',
                    'figure' => new Quantity((float) count($page->survey->bodies), '', 'ponds and streams that lie on this board'),
                    'note' => '',
                ],
                [
                    'label' => 'They hold',
                    'figure' => new Quantity($all / 1000.0, 'ml', 'their surfaces less their beds, on this board'),
                    'note' => '',
                ],
            ];
        }
        $out = [
            [
                'label' => 'Holds',
                'figure' => new Quantity($body->curve->volume() / 1000.0, 'ml', 'surface less bed, over all that lies under it'),
                'note' => 'over '.Format::text($body->curve->area() / 100.0, 'cm²'),
            ],
            [
                'label' => 'At its deepest',
                'figure' => new Quantity($body->curve->most, 'mm', 'surface less bed at the deepest place', decimals: 1),
                'note' => '',
            ],
        ];
        if ($body->margin() !== null) {
            $out[] = [
                'label' => $body->runsOut() ? 'Over its way out' : 'May rise',
                'figure' => new Quantity(abs($body->margin()), 'mm', 'lowest way out over the land less the surface', decimals: 1),
                'note' => '',
            ];
        }
        if ($page->trial !== null) {
            $out[] = [
                'label' => 'Clear through in',
                'figure' => new Quantity(
                    $page->trial->days50,
                    'd',
                    'every coat as soon as the one below allows, in this room, up to all dry through',
                    ['at 90 %' => Decimal::trimmed($page->trial->days90, 1).' d'],
                    'starting value',
                    1,
                ),
                'note' => 'to '.Decimal::trimmed($page->trial->days90, 1),
            ];
        }

        return $out;
    }

    /** @return array{uid: string, name: string, ml: string, words: string, bad: bool} */
    private function line(WaterPage $page, WaterBody $body): array
    {
        $words = [
            Format::length($body->curve->most, 1).' deep over '.Format::text($body->curve->area() / 100.0, 'cm²'),
        ];
        $words[] = match (true) {
            $body->runsOut() => 'runs out '.$page->survey->ways[$body->uid],
            $body->margin() === null => 'dams hold it all round',
            default => 'may rise '.Format::length((float) $body->margin(), 1),
        };
        if ($body->dams !== []) {
            $words[] = count($body->dams) === 1 ? '1 dam' : count($body->dams).' dams';
        }
        if ($body->falls !== []) {
            $words[] = count($body->falls) === 1 ? '1 fall' : count($body->falls).' falls';
        }

        return [
            'uid' => $body->uid,
            'name' => $body->called(),
            'ml' => Format::text($body->curve->volume() / 1000.0, 'ml'),
            'words' => implode('; ', $words),
            'bad' => $body->runsOut(),
        ];
    }

    /** @return list<array{key: string, name: string, suits: string, days: Quantity|null, hours: Quantity|null, why: string}> */
    private function schools(WaterPage $page, ?BenchWork $work, ?Zone $bed): array
    {
        if ($work === null || $bed === null || $page->body === null || $page->plan === null) {
            return [];
        }
        $out = [];
        foreach ($page->project->library($this->library)->questions()['water'] ?? [] as $school) {
            $trial = null;
            $why = '';
            try {
                $trial = $this->trial($work, $page->project, $page->section, $bed, $page->plan, $page->body, $school->key);
            } catch (InvalidValue $refusal) {
                $why = $refusal->getMessage();
            }
            $out[] = [
                'key' => $school->key,
                'name' => $school->name,
                'suits' => $school->suits,
                'days' => $trial === null
                    ? null
                    : new Quantity($trial->days50, 'd', 'until dry through, as soon as each coat allows', [], 'starting value', 0),
                'hours' => $trial === null
                    ? null
                    : new Quantity($trial->minutes / 60.0, 'h', 'hands-on minutes of every move', [], 'starting value', 1),
                'why' => $why,
            ];
        }

        return $out;
    }

    /** @return list<array{words: string, mix: string, hex: string, area: Quantity, ml: Quantity|null, holds: Quantity}> */
    private function bands(WaterPage $page): array
    {
        if ($page->body === null) {
            return [];
        }
        $paint = 0.0;
        foreach ($page->trial->steps ?? [] as $step) {
            $paint += $step->coat->recipe->base() === 'bed-paint' ? $step->total('ml') : 0.0;
        }
        $bands = $page->body->bands($page->bands());
        $all = array_sum(array_map(fn ($b): float => $b->surface, $bands));
        $out = [];
        foreach ($bands as $k => $band) {
            $out[] = [
                'words' => Format::several([$band->from, $band->to], 'mm', 1, ' to '),
                'mix' => $page->colours->parts($k, count($bands), $page->darkRim()),
                'hex' => $page->colours->hex($page->colours->darkShare($k, count($bands), $page->darkRim())),
                'area' => new Quantity($band->area / 100.0, 'cm²', 'plan area of the bed that lies so deep', decimals: 0),
                'ml' => $paint > 0.0 && $all > 0.0
                    ? new Quantity(($paint * $band->surface) / $all, 'ml', 'its share of the bed paint by true surface', decimals: 1)
                    : null,
                'holds' => new Quantity($band->volume / 1000.0, 'ml', 'water that stands over it', decimals: 0),
            ];
        }

        return $out;
    }

    private function sheetCut(WaterPage $page): ?SheetCut
    {
        return $page->body === null || $page->plan?->school !== 'water-sheet'
            ? null
            : $this->water->sheet()->cut($page->beds[$page->body->uid][0] ?? []);
    }

    /** @return list<array{end: StreamEnd, words: string}> of the picked water, or of all */
    private function ends(WaterPage $page): array
    {
        $out = [];
        foreach ($page->survey->ends as $end) {
            if ($page->body !== null && $end->water !== $page->body->uid) {
                continue;
            }
            $seen = Decimal::trimmed(100.0 * $end->seen, 0);
            $out[] = [
                'end' => $end,
                'words' => match (true) {
                    $end->joint !== null => "goes on over the joint to {$end->joint}",
                    $end->isViewed => 'cut off at the edge that people stand at: the dam’s face is what they see',
                    $end->hidden === [] => "seen from {$seen} % of the places looked from; nothing hides it",
                    default => "seen from {$seen} % of the places looked from; ".implode(', ', $end->hidden).' hides the rest',
                },
            ];
        }

        return $out;
    }

    /** A zone of the builder’s own that lies over the picked water and has water among its coats already. */
    private function over(WaterPage $page, BenchWork $work): ?Zone
    {
        if ($page->body === null) {
            return null;
        }
        $areas = $work->surveys[$page->section->uid]->zones ?? [];
        foreach ($page->project->works->zonesOf($page->section->uid) as $zone) {
            $isWater = fn (Coat $c): bool => $c->recipe->stage === Stage::Water;
            if (
                isset($areas[$zone->uid]) &&
                $areas[$zone->uid]->holds(...$page->body->deepest) &&
                array_filter($page->project->works->coatsOf($zone->uid), $isWater) !== []
            ) {
                return $zone;
            }
        }

        return null;
    }

    /** @return array{day: string, last: string}|null when the last of it is laid, and when it is clear through; null while not known */
    private function done(Project $project, Section $section, Zone $zone): ?array
    {
        $plan = $this->plan->planOf($project, $this->plan->minute());
        $last = null;
        foreach ($plan->moves as $placed) {
            $last = $placed->move->zone->uid === $zone->uid && ($last === null || $placed->end > $last->end) ? $placed : $last;
        }
        if (! $last instanceof PlacedMove) {
            return null;
        }
        $clock = new ClockWords($plan->work->zone(), $plan->work->now);
        $through = $plan->reached($last, BenchPlan::through($last->move->recipe->cure->minutes), 0.9);

        return ['last' => $clock->day($last->end), 'day' => $clock->day($through)];
    }

    /**
     * @param  list<Finding>  $findings
     * @return Finding|null what is wrong with the way the picked mirror faces
     */
    private function faces(array $findings, MirrorFit $fit): ?Finding
    {
        foreach ($findings as $finding) {
            if (
                str_starts_with($finding->id, 'mirror-') &&
                abs($finding->place->xMm - $fit->mirror->x) < 0.01 &&
                abs($finding->place->yMm - $fit->mirror->y) < 0.01
            ) {
                return $finding;
            }
        }

        return null;
    }
}
