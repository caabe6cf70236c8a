<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Journal\SaveJournal;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Actions\Shelf\SaveDraw;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\CoatApplication as CoatApplicationRow;
use App\Models\Layout;
use IdleRidge\Core\Coats\AreaProfile;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\Strip;
use IdleRidge\Core\Geometry\CellCoverage;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;

/** What one does at the bench: begins a move, finishes it, stops half-way, or finds what is under it still wet. */
final readonly class SaveCoatApplication
{
    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private SaveJournal $journal,
        private SaveDraw $stock,
    ) {
    }

    /** @throws InvalidValue when another is being laid, or the plan has moved on */
    public function start(Layout $layout, string $moveId): void
    {
        $plan = $this->desk->plan($layout);
        $current = $plan->work->current();
        if ($current !== null) {
            throw new InvalidValue("“{$current->title}” is being laid; finish it or stop there first.", 'move');
        }
        $move =
            $plan->work->moves[$moveId] ??
            throw new InvalidValue('The plan has moved on: that move is no longer in it. This is the plan as it stands.', 'move');
        $this->unlessReady($plan, $move);
        $laid = $plan->work->begin($move, $this->rows->uid(), $plan->work->now);
        $this->ledger->record(
            $layout,
            "{$move->title()} begun on {$move->zone->name}",
            fn (ChangeSet $changes) => $this->rows->add($changes, $layout, CoatApplicationRow::class, WorksFile::fromLaid($laid)),
        );
    }

    /** @throws InvalidValue when what is under it is not laid, or more likely wet than ready */
    private function unlessReady(BenchPlan $plan, Move $move): void
    {
        foreach ($plan->work->mending->heldBack[$move->id] ?? [] as $mend) {
            throw new InvalidValue("“{$mend->asks}” was not right. Put it right first, and say so on Rounds.", 'move');
        }
        foreach ($plan->work->bases[$move->id] as $base) {
            if ($base->under instanceof Move) {
                throw new InvalidValue("It goes over “{$base->under->title()}”, which is not laid yet.", 'move');
            }
            if ($base->window !== null) {
                $opens = $plan->work->windowOf($base, $base->under->section)->earliest($plan->work->endOf($base->under));
                if ($opens > $plan->work->now) {
                    throw new InvalidValue(
                        "“{$base->under->title}” under it is right for it from ".
                            (new ClockWords($plan->work->zone(), $plan->work->now))->moment($opens).
                            ' on.',
                        'move',
                    );
                }

                continue;
            }
            $ready = (int) ceil($plan->work->reached($base->under, $base->milestone, 0.5));
            if ($ready > $plan->work->now) {
                throw new InvalidValue(
                    "“{$base->under->title}” under it is more likely wet than ready before ".
                        (new ClockWords($plan->work->zone(), $plan->work->now))->moment($ready).
                        '.',
                    'move',
                );
            }
        }
    }

    public function done(Layout $layout, CoatApplicationRow $row): void
    {
        $laid = $this->open($layout, $row);
        $now = max($laid->startedAt, $this->desk->minute());
        $this->close($layout, $row, $laid->but(endedAt: $now), JournalKind::Done, $laid->minutes);
    }

    /**
     * Stops where one is: what is laid stays laid, the rest comes back as a move.
     *
     * @param  float|null  $share done so far, %; without it what the time says
     */
    public function stop(Layout $layout, CoatApplicationRow $row, ?float $share): void
    {
        $laid = $this->open($layout, $row);
        $now = max($laid->startedAt, $this->desk->minute());
        $percent = $share ?? max(5.0, min(95.0, (100.0 * ($now - $laid->startedAt)) / $laid->minutes));
        InvalidValue::unlessBetween($percent, 1.0, 99.0, 'The share done', '%', 'share');
        $part = $percent / 100.0;
        $band = $this->firstPart($layout, $laid, $part);
        $amounts = array_map(
            fn (MaterialAmount $a): MaterialAmount => new MaterialAmount($a->material, $a->amount * $part, $a->unit, $a->recovered),
            $laid->amounts,
        );
        $placement = $this->load->of($layout)->section($laid->section)->placement;
        $rings = CoatApplication::moved($band->of($laid->ringsOn($placement)), fn (Point $p): Point => $placement->toLayout($p));
        $stopped = $laid->but(
            rings: $rings,
            area: $laid->area * $part,
            track: $laid->track * $part,
            minutes: max(1, $now - $laid->startedAt),
            amounts: $amounts,
            endedAt: $now,
        );
        $this->close($layout, $row, $stopped, JournalKind::Stopped, (int) round($laid->minutes * $part));
    }

    /** A step of what is being laid is done, or is not after all. */
    public function tick(Layout $layout, CoatApplicationRow $row, int $step): void
    {
        $title = $this->open($layout, $row)->title;
        $this->ledger->record($layout, "{$title}: a step ticked", function (ChangeSet $changes) use ($layout, $row, $step): void {
            $laid = $this->open($layout, $row);
            $ticks = $laid->ticks;
            if (isset($ticks[$step])) {
                unset($ticks[$step]);
            } else {
                $ticks[$step] = max($laid->startedAt, $this->desk->minute());
            }
            ksort($ticks);
            $changes->add($row->refresh()->keep(WorksFile::fromLaid($laid->but(ticks: $ticks))));
        });
    }

    /** Begun, and then what lies under it was found wet: nothing is laid, and what is under dries longer. */
    public function stillWet(Layout $layout, CoatApplicationRow $row): void
    {
        $laid = $this->open($layout, $row);
        $under = $this->under($layout, $laid);
        $wet = $under[0] ?? throw new InvalidValue('Nothing is laid under it that could be wet.', 'move');
        $this->ledger->record($layout, "{$wet->title} found still wet", function (ChangeSet $changes) use ($layout, $row, $under): void {
            $changes->delete($row);
            foreach ($under as $patch) {
                $this->see($layout, $changes, $patch, 'still wet');
            }
        });
        $this->journal->note($layout, $wet, JournalKind::StillWet);
    }

    /** @return list<CoatApplication> the patches of the coat that was laid last under this one */
    private function under(Layout $layout, CoatApplication $laid): array
    {
        $below = array_filter(
            $this->load->works($layout)->laid,
            fn (CoatApplication $l): bool => $l->zone === $laid->zone &&
                $l->endedAt !== null &&
                $l->endedAt <= $laid->startedAt &&
                [$l->coat, $l->pass] !== [$laid->coat, $laid->pass],
        );
        usort($below, fn (CoatApplication $a, CoatApplication $b): int => $b->endedAt <=> $a->endedAt);

        return array_values(
            array_filter($below, fn (CoatApplication $l): bool => [$l->coat, $l->pass] === [$below[0]->coat, $below[0]->pass]),
        );
    }

    /** Something that dries was touched and is still wet. */
    public function foundWet(Layout $layout, CoatApplicationRow $row): void
    {
        $wet = $this->find($layout, $row);
        if ($wet->endedAt === null) {
            throw new InvalidValue('It is being laid.', 'move');
        }
        $this->ledger->record(
            $layout,
            "{$wet->title} found still wet",
            fn (ChangeSet $changes) => $this->see($layout, $changes, $wet, 'still wet'),
        );
        $this->journal->note($layout, $wet, JournalKind::StillWet);
    }

    /** Something that dries was touched and is ready. */
    public function foundDry(Layout $layout, CoatApplicationRow $row): void
    {
        $dry = $this->find($layout, $row);
        if ($dry->endedAt === null) {
            throw new InvalidValue('It is being laid.', 'move');
        }
        $this->ledger->record($layout, "{$dry->title} found dry", fn (ChangeSet $changes) => $this->see($layout, $changes, $dry, 'dry'));
        $this->journal->note($layout, $dry, JournalKind::Dry);
    }

    /** What was looked for is what the next coat over it asks of it. */
    private function see(Layout $layout, ChangeSet $changes, CoatApplication $laid, string $what): void
    {
        $row = $layout->applications()->where('uid', $laid->uid)->firstOrFail();
        $of = $this->desk->plan($layout)->opens($laid)[1] ?? $laid->recipe->needsOf($laid->recipe);
        $changes->add(
            $row->keep(
                WorksFile::fromLaid(
                    $laid->but(
                        seen: [
                            ...$laid->seen,
                            ['at' => max((int) $laid->endedAt, $this->desk->minute()), 'what' => $what, 'of' => $of->value],
                        ],
                    ),
                ),
            ),
        );
    }

    private function close(Layout $layout, CoatApplicationRow $row, CoatApplication $laid, JournalKind $kind, int $estimate): void
    {
        $this->ledger->record(
            $layout,
            "{$laid->title} ".($kind === JournalKind::Done ? 'done' : 'stopped half-way'),
            function (ChangeSet $changes) use ($layout, $row, $laid): void {
                $changes->save($row->keep(WorksFile::fromLaid($laid)));
                $this->stock->laid($changes, $layout, $laid);
            },
        );
        $this->journal->note($layout, $laid, $kind, $estimate);
    }

    private function open(Layout $layout, CoatApplicationRow $row): CoatApplication
    {
        $laid = $this->find($layout, $row);

        return $laid->endedAt === null ? $laid : throw new InvalidValue("“{$laid->title}” is finished already.", 'move');
    }

    private function find(Layout $layout, CoatApplicationRow $row): CoatApplication
    {
        return array_values(array_filter($this->load->works($layout)->laid, fn (CoatApplication $l): bool => $l->uid === $row->uid))[0];
    }

    /** The part of a patch that was laid first: from the back, or from the beginning of the track. */
    private function firstPart(Layout $layout, CoatApplication $laid, float $share): Strip
    {
        $section = $this->load->of($layout)->section($laid->section);
        $along = $laid->recipe->bed === 'track';
        $lines = range(0.0, $along ? $section->width : $section->depth, 2.0);
        $across = [0.0, $along ? $section->depth : $section->width];
        $rings = (new Strip(0.0, $section->width, 0.0, $section->depth))->of($laid->ringsOn($section->placement));
        $cover = $along ? CellCoverage::of($rings, $lines, $across) : CellCoverage::of($rings, $across, $lines);
        $cut = (new AreaProfile(array_values($lines), $cover))->cutAt($share, ! $along);

        return $along ? new Strip(x2: $cut) : new Strip(y1: $cut);
    }
}
