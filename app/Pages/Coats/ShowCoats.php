<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use App\Actions\Coats\SaveZone;
use App\Computed\Journal\PinnedPhotos;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Pages\Rail\ShowRail;
use App\Pages\Words\LearnedWords;
use IdleRidge\Core\Coats\Ballast;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\WayRecipe;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Journal\PhotoPin;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\CoatState;
use IdleRidge\Core\Plan\DryingState;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Plan\TakeOff;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\SectionShapes;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Track\Run;

/** The Coats screen: zones, their core samples, the picked coat's recipe and cure, the take-off. */
final readonly class ShowCoats
{
    private const WORDS = [
        'workable_until' => 'workable until',
        'touch_dry' => 'touch-dry',
        'next_coat' => 'next coat',
        'dry_through' => 'dry through',
    ];

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ShowRail $rail,
        private Library $library,
        private PinnedPhotos $pinned,
    ) {
    }

    /**
     * @param  array<string, mixed>  $query zone, coat, edit (zone or new)
     * @return array<string, mixed> for the view coats.show
     */
    public function of(Layout $layout, SectionRow $row, array $query): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $plan = $this->desk->planOf($project, $this->desk->minute());
        $zones = $project->works->zonesOf($section->uid);
        $states = array_map(
            fn (Zone $z): array => array_map(fn ($c): CoatState => CoatState::of($plan, $c), $project->works->coatsOf($z->uid)),
            $zones,
        );
        $query = array_filter($query, is_string(...));
        $zone = $zones[$query['zone'] ?? ''] ?? (array_values($zones)[0] ?? null);
        $picked = $zone === null ? null : $this->picked($states[$zone->uid], $query['coat'] ?? '');
        $words = new ClockWords($plan->work->zone(), $plan->work->now);
        $address = fn (array $more): string => route('coats.show', [$layout, $section->uid, ...$more]);
        $page = new CoatsPage(
            $plan,
            $section,
            $zones,
            $plan->work->surveys[$section->uid]->zones ?? [],
            $states,
            $zone,
            $picked,
            $words,
            $project->layout->cuts->first()->thickness,
            $address,
        );
        $mode = $zones === [] || ($query['edit'] ?? '') === 'new' ? 'new' : (($query['edit'] ?? '') === 'zone' ? 'zone' : 'coat');

        return [
            'layout' => $layout,
            'section' => $section,
            'page' => $page,
            'mode' => $mode,
            'pinned' => $this->pinned->beside($layout, $section->uid, PhotoPin::Coats),
            'rail' => $this->rail->of($project, $section, $plan->work),
            'facts' => $this->facts($page),
            'rows' => $this->zoneRows($page, $project->runsNear($section)),
            'cores' => $zones === [] ? null : CoreSampleDrawing::of($page),
            'coat' => $picked === null ? null : $this->coat($page, $picked),
            'takeOff' => TakeOff::byMaterial($plan->work, $section->uid),
            'findings' => $zone === null ? [] : array_values(
                array_filter(Rulebook::checkWork($plan), fn (Finding $f): bool => $f->place->zone === $zone->uid),
            ),
            'bare' => $this->bare($page),
            'colours' => $project->works->colours,
            'over' => $this->over($page),
            'library' => $project->library($this->library),
            'runs' => $project->runsNear($section),
            'zone' => $zone,
            'corners' => $zone?->along !== null || $zone === null ? '' : SaveZone::corners($zone, $section),
            'crowns' => $zone === null || $zone->under !== [] ? '' : SaveZone::crownsOf($zone, $section),
            'stands' => $project->works->growth->standsOn($section->uid),
            'waters' => SectionShapes::waters($project->features, $section),
        ];
    }

    /** @param  list<CoatState>  $states */
    private function picked(array $states, string $uid): ?CoatState
    {
        foreach ($states as $state) {
            if ($state->coat->uid === $uid) {
                return $state;
            }
        }
        // What dries comes first, then what is next to lay.
        foreach ($states as $state) {
            if ($state->state === DryingState::Wet || $state->state === DryingState::Setting) {
                return $state;
            }
        }
        foreach ($states as $state) {
            if (! $state->isWhole()) {
                return $state;
            }
        }

        return $states[count($states) - 1] ?? null;
    }

    /** @return list<array{label: string, figure: Quantity|null, text: string, unit: string}> */
    private function facts(CoatsPage $page): array
    {
        $sure = Decimal::trimmed(100.0 * $page->plan->work->certainty(), 0);
        $all = array_merge(...array_values($page->states), ...[[]]);
        $laid = count(array_filter($all, fn (CoatState $s): bool => $s->isWhole()));
        $drying = array_filter($all, fn (CoatState $s): bool => in_array($s->state, [DryingState::Wet, DryingState::Setting], true));
        $session = $page->plan->session();
        $tonight =
            $session === null
                ? []
                : array_filter(
                    $page->plan->within($session[0], $session[1]),
                    fn (PlacedMove $p): bool => $p->move->section->uid === $page->section->uid,
                );
        $hands = array_sum(
            array_map(
                fn (PlacedMove $p): int => $p->move->section->uid === $page->section->uid ? $p->move->minutes : 0,
                $page->plan->moves,
            ),
        );
        $facts = [
            [
                'label' => 'Coats laid',
                'figure' => new Quantity($laid, 'coats', 'coats that are laid on all of their zone'),
                'text' => '',
                'unit' => 'of '.count($all),
            ],
            [
                'label' => 'Drying now',
                'figure' => new Quantity(count($drying), 'coats', "coats laid and not yet ready for the next at {$sure} %"),
                'text' => '',
                'unit' => count($drying) === 1 ? 'coat' : 'coats',
            ],
            [
                'label' => $session !== null && $page->words->isToday($session[0]) ? 'Tonight here' : 'Next session here',
                'figure' => new Quantity(count($tonight), 'moves', 'moves of this section in the session'),
                'text' => '',
                'unit' => count($tonight) === 1 ? 'move' : 'moves',
            ],
            [
                'label' => 'Hands on, to come',
                'figure' => new Quantity($hands / 60.0, 'h', 'minutes of all planned moves of this section', decimals: 1),
                'text' => '',
                'unit' => 'h',
            ],
        ];
        [$half, $most] = [$page->plan->ready(0.5, $page->section), $page->plan->ready(0.9, $page->section)];
        if ($half !== null && $most !== null) {
            $facts[] = [
                'label' => 'All cured, 50–90 %',
                'figure' => null,
                'text' => $page->words->at($half)->format('j M'),
                'unit' => 'to '.$page->words->at($most)->format('j M'),
            ];
        }

        return $facts;
    }

    /**
     * @param  list<Run>  $runs
     * @return list<array{zone: Zone, area: Quantity, thumb: Svg, sentence: string, current: bool}>
     */
    private function zoneRows(CoatsPage $page, array $runs): array
    {
        $growth = $page->plan->work->project->works->growth;
        $names = array_column(array_map(fn (Row $r): array => [$r->uid, $r->called()], $growth->rows), 1, 0);
        $waters = array_filter($page->plan->work->project->features, fn (LandFeature $f): bool => $f->name !== '');
        foreach ([...array_values($page->zones), ...$runs, ...$growth->stands, ...$waters] as $named) {
            $names[$named->uid] = $named->name;
        }
        $rows = [];
        foreach ($page->zones as $zone) {
            $area = $page->areas[$zone->uid];
            $rows[] = [
                'zone' => $zone,
                'sentence' => $zone->sentence($names, $page->section->base),
                'current' => $page->zone === $zone,
                'thumb' => ZoneDrawing::of($page->section, $area->rings, $page->zone === $zone),
                'area' => new Quantity($area->surface / 100.0, 'cm²', 'true surface of the land within the zone, partial cells counted', [
                    'plan' => Format::text($area->plan / 100.0, 'cm²'),
                    'cells of' => Format::length(5.0),
                ]),
            ];
        }

        return $rows;
    }

    /** Land on which no zone lies; null where there is none to speak of. */
    private function bare(CoatsPage $page): ?Quantity
    {
        $survey = $page->plan->work->surveys[$page->section->uid] ?? null;

        return $survey === null || $survey->bare < 500.0
            ? null
            : new Quantity($survey->bare / 100.0, 'cm²', 'true surface of the board less what zones cover', decimals: 0);
    }

    /** @return list<array{name: string, figure: Quantity}> zones that lie over the picked one */
    private function over(CoatsPage $page): array
    {
        $survey = $page->plan->work->surveys[$page->section->uid] ?? null;
        $shared = $survey === null || $page->zone === null ? [] : $survey->over($page->zone->uid);

        return array_map(
            fn (string $uid, float $area): array => [
                'name' => $page->zones[$uid]->name,
                'figure' => new Quantity($area / 100.0, 'cm²', 'true surface that both zones have', decimals: 0),
            ],
            array_keys($shared),
            $shared,
        );
    }

    /** @return array<string, mixed> what the sheet about one coat shows */
    private function coat(CoatsPage $page, CoatState $state): array
    {
        $coat = $state->coat;
        $plan = $page->plan;
        $moves = array_values(array_filter($plan->work->moves, fn ($m): bool => $m->coat->uid === $coat->uid));
        $amounts = MaterialAmount::sum(array_merge(...array_map(fn ($m): array => $m->amounts, $moves), ...[[]]));
        $laidAmounts =
            $state->last !== null && $moves === []
                ? MaterialAmount::sum(
                    array_merge(
                        ...array_map(fn ($l): array => $l->coat === $coat->uid ? $l->amounts : [], $plan->work->project->works->laid),
                    ),
                )
                : [];
        $air = $plan->work->drying($page->section)->room;

        return [
            'state' => $state,
            'amounts' => $amounts === [] ? $laidAmounts : $amounts,
            'used' => $amounts === [] && $laidAmounts !== [],
            'minutes' => array_sum(array_map(fn ($m): int => $m->minutes, $moves)),
            'moves' => count($moves),
            'ring' => $state->last === null || $state->state === DryingState::Ready ? null : CureRingDrawing::ofState($page->plan, $state),
            'milestones' => $this->milestones($page, $state),
            'when' => $this->when($page, $state),
            'why' => $state->next !== null ? $state->next->reason()->text : $state->held->text ?? '',
            'needs' => $this->needs($page, $state),
            'spread' => $coat->recipe->family === Family::Ballast ? $this->spread($page, $coat) : '',
            'acts' => ActSteps::all($coat->recipe),
            'pieces' => ShowPieces::of($coat, $page->areas[$coat->zone], $plan->work->project->layout->scale, $amounts),
            'strips' => $this->strips($page, $moves),
            'strip' => ShowStrip::of($plan->work, $coat, $this->library),
            'way' => WayRecipe::isLoose($coat->recipe)
                    ? WayChoice::of($this->library->ways, $coat->recipe->family, $coat->way)
                    : null,
            'prefers' => $this->prefers($plan->work->rules()->ways[$coat->recipe->family->value] ?? null),
            'window' => $this->window($coat),
            'learned' => $this->learned($page, $coat),
            'lots' => implode(', ', array_map(
                fn (MaterialLot $l): string => "{$l->material} {$l->called()}",
                $plan->work->project->works->lotsOf($coat->uid),
            )),
            'air' => $coat->recipe->cure->filmTemperature === null
                    ? ''
                    : sprintf(
                        'over %s until touch-dry; %s has %s by day, %s at night',
                        Format::text($coat->recipe->cure->filmTemperature, '°C', 1),
                        $air->name,
                        Format::text($air->day->temperature, '°C', 1),
                        Format::text($air->night->temperature, '°C', 1),
                    ),
        ];
    }

    /** How ballast lies across the first of the zone's tracks; empty where there is none. */
    private function spread(CoatsPage $page, Coat $coat): string
    {
        $project = $page->plan->work->project;
        $tracks = array_filter(
            $project->runsNear($page->section),
            fn (Run $run): bool => isset($page->areas[$coat->zone]->tracks[$run->uid]),
        );
        if ($tracks === []) {
            return 'no track lies in this zone';
        }
        $ballast = Ballast::forTrack($project->layout->scale->ratio, reset($tracks)->profile);
        $middle = 100.0 * $ballast->middle($project->layout->gauge, $coat->recipe->cure->referenceMm);
        [$between, $aside] = [Decimal::trimmed($middle, 0), Decimal::trimmed((100.0 - $middle) / 2.0, 0)];

        return "{$between} % between the rails, {$aside} % to each side, roadbed’s slopes counted".
            ($coat->passes > 1 ? "; in {$coat->passes} light layers" : '');
    }

    /**
     * @param  list<Move>  $moves of one coat
     * @return array{drawing: Svg, title: string, areas: list<array{number: int, area: Quantity}>}|null of its next application, where
     *     it is laid in strips
     */
    private function strips(CoatsPage $page, array $moves): ?array
    {
        $next = array_values(array_filter($moves, fn (Move $m): bool => $m->pass === $moves[0]->pass));
        if (count($next) < 2) {
            return null;
        }

        return [
            'drawing' => StripsDrawing::of($page->section, $page->areas[$next[0]->zone->uid]->rings, $next),
            'title' => 'In '.count($next).' strips, '.($next[0]->recipe->bed === 'track' ? 'along the track' : 'back to front'),
            'areas' => array_map(
                fn (Move $m): array => [
                    'number' => $m->strip,
                    'area' => new Quantity($m->area / 100.0, 'cm²', 'true surface that the strip covers', decimals: 0),
                ],
                $next,
            ),
        ];
    }

    private function prefers(?string $way): string
    {
        return $way === null ? 'as its recipe says' : 'as you prefer: '.$this->library->ways->read($way)->words();
    }

    private function window(Coat $coat): string
    {
        $window = $coat->recipe->window;
        if ($window === null) {
            return '';
        }
        $word = fn (Milestone|float $at): string => $at instanceof Milestone
            ? str_replace('_', ' ', $at->value)
            : Decimal::trimmed($at, 0).' min';

        return match ($window->side) {
            'self' => 'the next pour',
            'above' => 'what goes on it',
            default => 'this',
        }.
            " between {$word($window->opens)} and {$word($window->closes)} ".
            ($window->side === 'below' ? 'of the coat below' : 'after it').
            ($window->again === null ? '' : ', or from '.ClockWords::span($window->again).' on');
    }

    private function isInWindow(Coat $below, Coat $above): bool
    {
        foreach ([[$above->recipe->window, 'below'], [$below->recipe->window, 'above']] as [$window, $side]) {
            if ($window !== null && $window->side === $side && $window->rules($below->recipe, false, $above->recipe)) {
                return true;
            }
        }

        return false;
    }

    private function learned(CoatsPage $page, Coat $coat): string
    {
        $drying = $page->plan->work->drying($page->section);

        return LearnedWords::of($drying->learned($coat->recipe->id), $coat->recipe->name, $drying->room->name);
    }

    /** @return list<array{word: string, text: string, strong: bool}> */
    private function milestones(CoatsPage $page, CoatState $state): array
    {
        $work = $page->plan->work;
        $out = [];
        foreach ($state->coat->recipe->cure->minutes as $key => $reference) {
            $milestone = Milestone::from($key);
            if ($milestone === Milestone::WorkableUntil) {
                continue;
            }
            if ($state->last !== null) {
                [$half, $most] = [$work->reached($state->last, $milestone, 0.5), $work->reached($state->last, $milestone, 0.9)];
                $text =
                    $most <= $work->now
                        ? 'passed '.$page->words->moment((int) $most)
                        : 'in '.ClockWords::range($half - $work->now, $most - $work->now);
            } else {
                $text = 'about '.ClockWords::span($reference).' at '.Format::text(20.0, '°C').', 50 %';
                if ($state->next !== null) {
                    $text =
                        ClockWords::range(
                            $page->plan->reached($state->next, $milestone, 0.5) - $state->next->end,
                            $page->plan->reached($state->next, $milestone, 0.9) - $state->next->end,
                        ).' after laying';
                }
            }
            $out[] = ['word' => self::WORDS[$key], 'text' => $text, 'strong' => $milestone === Milestone::NextCoat];
        }

        return $out;
    }

    private function when(CoatsPage $page, CoatState $state): string
    {
        $coat = $state->coat;
        $how =
            Format::length($coat->mm, 2).
            ($coat->passes > 1 ? " × {$coat->passes}" : '').
            ($coat->share < 1.0 ? ', over '.Decimal::trimmed(100.0 * $coat->share, 0).' %' : '');
        if ($state->last !== null) {
            $how .= ', laid '.$page->words->moment($page->plan->work->endOf($state->last));
        }
        if ($state->next !== null) {
            $how .= ($state->last === null ? ', planned ' : ', goes on ').$page->words->moment($state->next->start);
        }

        return $how;
    }

    /** @return list<string> what must be so before it goes on */
    private function needs(CoatsPage $page, CoatState $state): array
    {
        $out = [];
        $before = null;
        foreach ($page->states[$state->coat->zone] as $other) {
            if ($other->coat->uid === $state->coat->uid) {
                break;
            }
            $before = $other;
        }
        // What has to follow while the coat below is soft does not wait until it is hard; its window is told beside it.
        if ($before !== null && ! $this->isInWindow($before->coat, $state->coat)) {
            $out[] =
                $before->coat->title().
                ' '.
                (self::WORDS[$state->coat->recipe->needsOf($before->coat->recipe)->value] === 'next coat'
                    ? 'ready for the next coat'
                    : 'dry through').
                ($before->coat->recipe->check === '' ? '' : ': '.$before->coat->recipe->check);
        }

        return $out;
    }
}
