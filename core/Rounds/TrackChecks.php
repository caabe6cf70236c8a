<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rounds;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StructureKind;
use IdleRidge\Core\Track\Turnout;
use IdleRidge\Core\Track\Vehicle;

/** What has to be right of the track: points and flangeways round the ballast, clearance as the land grows, reach into tunnels. */
final readonly class TrackChecks
{
    /** Stages whose work comes near what runs. */
    private const NEAR = [Stage::Land, Stage::Rock, Stage::Hard, Stage::Lineside];

    /** A run that only just comes over an edge is looked at on the other board, mm. */
    private const LEAST_MM = 100.0;

    /** @var list<Run> that carry trains over the section, in its coordinates */
    private array $runs;

    public function __construct(private BenchWork $work, private Section $section)
    {
        $this->runs = array_values(array_filter(
            $work->project->runsNear($section),
            fn (Run $run): bool => $run->kind === RunKind::Track && $this->liesOver($run),
        ));
    }

    private function liesOver(Run $run): bool
    {
        $within = $run->within($this->section->width, $this->section->depth);

        return $within !== null && $within[1] - $within[0] >= self::LEAST_MM;
    }

    /** @return list<DueCheck> */
    public function all(): array
    {
        return [...$this->ballast(), ...$this->clearance(), ...$this->reach()];
    }

    /** @return list<DueCheck> */
    private function ballast(): array
    {
        $current = $this->work->current();
        $out = [];
        if ($current !== null && $current->section === $this->section->uid && $current->recipe->family === Family::Ballast) {
            array_push($out, ...$this->points($current, RoundMoment::BeforeGluing));
        }
        $last = null;
        foreach ($this->work->project->works->laid as $laid) {
            if ($laid->section === $this->section->uid && $laid->recipe->family === Family::Ballast && $laid->endedAt !== null) {
                $last = $laid;
            }
        }
        if ($last === null || $this->work->reached($last, Milestone::NextCoat, 0.5) > $this->work->now) {
            return $out;
        }
        array_push($out, ...$this->points($last, RoundMoment::AfterGluing));
        foreach ($this->runs as $run) {
            $where = fn (string $key, string $asks, string $how, int $minutes): DueCheck => new DueCheck(
                "{$key}.{$last->uid}.{$run->uid}",
                $this->section,
                RoundMoment::AfterGluing,
                $asks,
                $how,
                $run->name,
                $this->middle($run),
                $this->over($last),
                $minutes,
            );
            $light = $this->vehicle(fn (Vehicle $v): float => $v->body);
            $rolls = 'push it once and let it run: it stops nowhere';
            $out[] = $where('flangeways', "Does the {$light} roll through by its own weight?", $rolls, 20);
            $out[] = $where('tops', 'Are the rail tops free of glue?', 'a fingertip along both rails; a track rubber where it catches', 15);
        }

        return $out;
    }

    /** @return list<DueCheck> */
    private function points(CoatApplication $laid, RoundMoment $moment): array
    {
        $out = [];
        foreach ($this->turnouts() as $k => [$name, $at]) {
            $before = $moment === RoundMoment::BeforeGluing;
            $out[] = new DueCheck(
                ($before ? 'stones' : 'blades').".{$laid->uid}.{$k}",
                $this->section,
                $moment,
                $before ? 'Are the points clear of stones, and did the blades move?' : 'Do the blades move freely, over and back?',
                $before ? 'blow and brush between blade and stock rail, throw them twice' : 'throw them ten times; none stays half-way',
                $name,
                $at,
                $before ? [] : $this->over($laid),
                25,
            );
        }

        return $out;
    }

    /** @return list<array{string, array{float, float}}> */
    private function turnouts(): array
    {
        $clearance = $this->work->project->layout->clearance;
        $found = Turnout::among($this->work->project->runsNear($this->section), $clearance->vehicles, $clearance->margin);
        $units = $this->work->project->layout->units;
        $out = [];
        foreach ($found as $turnout) {
            $p = $turnout->main->alignment->pointAt($turnout->toe);
            if ($this->section->holds($p->x, $p->y)) {
                $out[] = ["points of {$turnout->branch->name}, at ".Format::length($turnout->toe), [$p->x, $p->y]];
            }
        }

        return $out;
    }

    /** @return list<DueCheck> once more land or lineside stands near the track */
    private function clearance(): array
    {
        $last = null;
        foreach ($this->work->project->works->laid as $laid) {
            $near = $laid->section === $this->section->uid && in_array($laid->recipe->stage, self::NEAR, true);
            $last = $near && $laid->endedAt !== null ? $laid : $last;
        }
        if ($last === null) {
            return [];
        }
        $long = $this->vehicle(fn (Vehicle $v): float => -$v->body);

        return array_map(fn (Run $run): DueCheck => new DueCheck(
            "clear.{$last->uid}.{$run->uid}",
            $this->section,
            RoundMoment::BeforeNext,
            "Does the {$long} go through without touching?",
            'push it slowly from edge to edge, watching both sides and the roof',
            $run->name,
            $this->middle($run),
            $this->ballastToCome(),
            20,
        ), $this->runs);
    }

    /** @return list<DueCheck> */
    private function reach(): array
    {
        $out = [];
        $units = $this->work->project->layout->units;
        foreach ($this->runs as $run) {
            foreach ($run->structures as $k => $structure) {
                if ($structure->kind !== StructureKind::Tunnel) {
                    continue;
                }
                $p = $run->alignment->pointAt(($structure->from + $structure->to) / 2.0);
                if ($this->section->holds($p->x, $p->y)) {
                    $out[] = new DueCheck(
                        "reach.{$run->uid}.{$k}",
                        $this->section,
                        RoundMoment::BeforeNext,
                        'Can a hand reach what has come off in the tunnel?',
                        'from both ends and from behind or below, as far as the middle, before the lid goes on',
                        "{$run->name}, ".Format::length($structure->from).' to '.Format::length($structure->to),
                        [$p->x, $p->y],
                        $this->landToCome(),
                        30,
                    );
                }
            }
        }

        return $out;
    }

    /** @return list<string> coats still to lay over what was laid, on its zone */
    private function over(CoatApplication $laid): array
    {
        return $this->toCome(fn (Move $m): bool => $m->zone->uid === $laid->zone);
    }

    /** @return list<string> */
    private function ballastToCome(): array
    {
        return $this->toCome(fn (Move $m): bool => $m->section->uid === $this->section->uid && $m->recipe->family === Family::Ballast);
    }

    /** @return list<string> */
    private function landToCome(): array
    {
        return $this->toCome(fn (Move $m): bool => $m->section->uid === $this->section->uid && $m->recipe->stage === Stage::Land);
    }

    /**
     * @param  callable(Move): bool  $which
     * @return list<string> uids of coats
     */
    private function toCome(callable $which): array
    {
        $coats = array_map(fn (Move $m): Coat => $m->coat, array_values(array_filter($this->work->moves, $which)));

        return array_values(array_unique(array_map(fn (Coat $c): string => $c->uid, $coats)));
    }

    /** @param  callable(Vehicle): float  $by the least of it is meant */
    private function vehicle(callable $by): string
    {
        $vehicles = $this->work->project->layout->clearance->vehicles;
        usort($vehicles, fn (Vehicle $a, Vehicle $b): int => $by($a) <=> $by($b));

        return $vehicles[0]->name ?? 'vehicle';
    }

    /** @return array{float, float}|null the middle of what of a run lies on the section */
    private function middle(Run $run): ?array
    {
        $within = $run->within($this->section->width, $this->section->depth);
        if ($within === null) {
            return null;
        }
        $p = $run->alignment->pointAt(($within[0] + $within[1]) / 2.0);

        return [$p->x, $p->y];
    }
}
