<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\FormInput;
use App\Actions\Plan\SaveWhatIf;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Plan\BenchPlan;

/** The plan as it would be with one or more things changed, beside the plan as it is; nothing is kept. */
final readonly class ShowWhatIf
{
    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ShowRail $rail,
        private Library $library,
        private SaveWhatIf $tryOut,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input room, heater (°C), airflow, date with from and to, hands, zone with school, fewer (coat uid)
     * @return array<string, mixed> for the view drying.what-if
     */
    public function of(Layout $layout, array $input): array
    {
        $project = $this->load->of($layout);
        $now = $this->desk->planOf($project, $this->desk->minute());
        $typed = new FormInput($input);
        $faults = [];
        $said = [];
        $then = null;
        try {
            [$changed, $said] = $this->tryOut->of($project, $typed);
            $then = $said === [] ? null : $this->desk->planOf($changed, $now->work->now);
        } catch (InvalidValue $refusal) {
            $faults = [$refusal->place => $refusal->getMessage()];
        } catch (InvalidValues $refusals) {
            foreach ($refusals->all as $refusal) {
                $faults[$refusal->place] = $refusal->getMessage();
            }
        }
        $words = new ClockWords($now->work->zone(), $now->work->now);
        $library = $project->library($this->library);
        $coats = array_filter(
            $project->works->coats,
            fn (Coat $c): bool => array_filter($now->work->moves, fn ($m): bool => $m->coat->uid === $c->uid) !== [],
        );
        $names = array_column(
            array_map(fn (Zone $z): array => [$z->uid, $project->section($z->section)->name.', '.$z->name], $project->works->zones),
            1,
            0,
        );

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'rail' => $this->rail->of($project, null, $now->work),
            'input' => $input,
            'faults' => $faults,
            'said' => $said,
            'hasPlan' => $now->moves !== [] || $now->unplaced !== [],
            'kept' => array_intersect_key(
                $input,
                array_flip(['room', 'heater', 'airflow', 'date', 'from', 'to', 'hands', 'zone', 'school', 'fewer']),
            ),
            'rows' => $this->rows($now, $then, $words),
            'rooms' => array_column(array_map(fn (Room $r): array => [$r->uid, $r->name], $project->works->rooms), 1, 0),
            'zones' => $names,
            'schools' => array_map(fn ($s): string => $s->name, $library->schools),
            'coats' => array_column(array_map(fn (Coat $c): array => [$c->uid, "{$c->title()}, {$names[$c->zone]}"], $coats), 1, 0),
            'moved' => $then === null ? [] : $this->moved($now, $then, $words),
        ];
    }

    /** @return list<array{label: string, now: string, then: string|null, better: int}> */
    private function rows(BenchPlan $now, ?BenchPlan $then, ClockWords $words): array
    {
        $row = function (string $label, ?int $a, ?int $b, callable $word, int $sign = 1): array {
            return [
                'label' => $label,
                'now' => $a === null ? '–' : $word($a),
                'then' => $b === null ? null : $word($b),
                'better' => $a === null || $b === null ? 0 : $sign * ($b <=> $a),
            ];
        };
        $moment = fn (int $m): string => $words->at($m)->format('D j M, H:i');

        return [
            $row('Last hands-on minute', $now->lastHandsOn(), $then?->lastHandsOn(), $moment),
            $row('All cured, 50 %', $now->ready(0.5), $then?->ready(0.5), $moment),
            $row('All cured, 90 %', $now->ready(0.9), $then?->ready(0.9), $moment),
            $row('Hands on', $now->minutes(), $then?->minutes(), fn (int $m): string => round($m / 60.0, 1).' h'),
            $row('Evenings and days', $now->sessionsUsed(), $then?->sessionsUsed(), fn (int $d): string => (string) $d),
            $row(
                'Moves in no session',
                count($now->unplaced),
                $then === null ? null : count($then->unplaced),
                fn (int $n): string => (string) $n,
            ),
            $row('Too late for a date', $now->latest(), $then?->latest(), fn (int $m): string => $m === 0 ? 'none' : ClockWords::span($m)),
        ];
    }

    /** @return list<array{title: string, place: string, now: string, then: string}> */
    private function moved(BenchPlan $now, BenchPlan $then, ClockWords $words): array
    {
        $at = $now->at();
        $out = [];
        foreach ($then->moves as $placed) {
            $was = $at[$placed->move->id][0] ?? null;
            if ($was !== null && $words->day($was) !== $words->day($placed->start)) {
                $out[] = [
                    'title' => $placed->move->title(),
                    'place' => $placed->move->place(),
                    'now' => $words->day($was),
                    'then' => $words->day($placed->start),
                ];
            }
        }

        return array_slice($out, 0, 10);
    }
}
