<?php

declare(strict_types=1);

namespace App\Workshop\Plan;

use App\Drawing\ClockWords;
use App\Models\Application;
use App\Models\Layout;
use App\Workshop\Journal\KeepJournal;
use App\Workshop\KeptRows;
use App\Workshop\LoadProject;
use App\Workshop\Revising\Changes;
use App\Workshop\Revising\Ledger;
use IdleRidge\Core\Coats\Amount;
use IdleRidge\Core\Coats\Band;
use IdleRidge\Core\Coats\Laid;
use IdleRidge\Core\Coats\Profile;
use IdleRidge\Core\Geometry\Coverage;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\Refusal;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;

/** What one does at the bench: begins a move, finishes it, stops half-way, or finds what is under it still wet. */
final readonly class LayMove
{
    public function __construct(private Ledger $ledger, private KeptRows $rows, private LoadProject $load, private PlanDesk $desk, private KeepJournal $journal)
    {
    }

    /** @throws Refusal when another is being laid, or the plan has moved on */
    public function start(Layout $layout, string $moveId): void
    {
        $plan = $this->desk->plan($layout);
        $current = $plan->work->current();
        if ($current !== null) {
            throw new Refusal("“{$current->title}” is being laid; finish it or stop there first.", 'move');
        }
        $move = $plan->work->moves[$moveId] ?? throw new Refusal('The plan has moved on: that move is no longer in it. This is the plan as it stands.', 'move');
        $this->unlessReady($plan, $move);
        $laid = $plan->work->begin($move, $this->rows->uid(), $plan->work->now);
        $this->ledger->record($layout, "{$move->title()} begun on {$move->zone->name}", fn (Changes $changes) => $this->rows->add($changes, $layout, Application::class, WorksFile::fromLaid($laid)));
    }

    /** @throws Refusal when what is under it is not laid, or more likely wet than ready */
    private function unlessReady(BenchPlan $plan, Move $move): void
    {
        foreach ($plan->work->bases[$move->id] as $base) {
            if ($base->under instanceof Move) {
                throw new Refusal("It goes over “{$base->under->title()}”, which is not laid yet.", 'move');
            }
            if ($base->window !== null) {
                $opens = $plan->work->windowOf($base, $base->under->section)->earliest($plan->work->endOf($base->under));
                if ($opens > $plan->work->now) {
                    throw new Refusal("“{$base->under->title}” under it is right for it from ".(new ClockWords($plan->work->zone(), $plan->work->now))->moment($opens).' on.', 'move');
                }

                continue;
            }
            $ready = (int) ceil($plan->work->reached($base->under, $base->milestone, 0.5));
            if ($ready > $plan->work->now) {
                throw new Refusal("“{$base->under->title}” under it is more likely wet than ready before ".(new ClockWords($plan->work->zone(), $plan->work->now))->moment($ready).'.', 'move');
            }
        }
    }

    public function done(Layout $layout, Application $row): void
    {
        $laid = $this->open($layout, $row);
        $now = max($laid->startedAt, $this->desk->minute());
        $this->close($layout, $row, $this->with($laid, endedAt: $now), 'done');
    }

    /**
     * Stops where one is: what is laid stays laid, the rest comes back as a move.
     *
     * @param float|null $share done so far, %; without it what the time says
     */
    public function stop(Layout $layout, Application $row, ?float $share): void
    {
        $laid = $this->open($layout, $row);
        $now = max($laid->startedAt, $this->desk->minute());
        $percent = $share ?? max(5.0, min(95.0, 100.0 * ($now - $laid->startedAt) / $laid->minutes));
        Refusal::unlessBetween($percent, 1.0, 99.0, 'The share done', '%', 'share');
        $part = $percent / 100.0;
        $band = $this->firstPart($layout, $laid, $part);
        $amounts = array_map(fn (Amount $a): Amount => new Amount($a->material, $a->amount * $part, $a->unit, $a->recovered), $laid->amounts);
        $placement = $this->load->of($layout)->section($laid->section)->placement;
        $rings = Laid::moved($band->of($laid->ringsOn($placement)), fn (Point $p): Point => $placement->toLayout($p));
        $stopped = Laid::of(
            $laid->uid, $laid->section, $laid->zone, $laid->coat, $laid->pass, $laid->title, $laid->recipe, $laid->mm, $rings, $laid->area * $part, $laid->track * $part,
            max(1, $now - $laid->startedAt), $amounts, $laid->startedAt, $now, $laid->seen, $laid->extra,
        );
        $this->close($layout, $row, $stopped, 'stopped');
    }

    /** Begun, and then what lies under it was found wet: nothing is laid, and what is under dries longer. */
    public function stillWet(Layout $layout, Application $row): void
    {
        $laid = $this->open($layout, $row);
        $under = $this->under($layout, $laid);
        $wet = $under[0] ?? throw new Refusal('Nothing is laid under it that could be wet.', 'move');
        $this->ledger->record($layout, "{$wet->title} found still wet", function (Changes $changes) use ($layout, $row, $under): void {
            $changes->delete($row);
            foreach ($under as $patch) {
                $this->see($layout, $changes, $patch, 'still wet');
            }
        });
        $this->journal->note($layout, $wet, 'still wet');
    }

    /** @return list<Laid> the patches of the coat that was laid last under this one */
    private function under(Layout $layout, Laid $laid): array
    {
        $below = array_filter($this->load->works($layout)->laid, fn (Laid $l): bool => $l->zone === $laid->zone && $l->endedAt !== null
            && [$l->coat, $l->pass] !== [$laid->coat, $laid->pass] && $l->recipe->stage->value <= $laid->recipe->stage->value);
        usort($below, fn (Laid $a, Laid $b): int => [$b->recipe->stage->value, $b->endedAt] <=> [$a->recipe->stage->value, $a->endedAt]);

        return array_values(array_filter($below, fn (Laid $l): bool => [$l->coat, $l->pass] === [$below[0]->coat, $below[0]->pass]));
    }

    /** Something that dries was touched and is still wet. */
    public function foundWet(Layout $layout, Application $row): void
    {
        $wet = $this->find($layout, $row);
        if ($wet->endedAt === null) {
            throw new Refusal('It is being laid.', 'move');
        }
        $this->ledger->record($layout, "{$wet->title} found still wet", fn (Changes $changes) => $this->see($layout, $changes, $wet, 'still wet'));
        $this->journal->note($layout, $wet, 'still wet');
    }

    /** Something that dries was touched and is ready. */
    public function foundDry(Layout $layout, Application $row): void
    {
        $dry = $this->find($layout, $row);
        if ($dry->endedAt === null) {
            throw new Refusal('It is being laid.', 'move');
        }
        $this->ledger->record($layout, "{$dry->title} found dry", fn (Changes $changes) => $this->see($layout, $changes, $dry, 'dry'));
        $this->journal->note($layout, $dry, 'dry');
    }

    /** What was looked for is what the next coat over it asks of it. */
    private function see(Layout $layout, Changes $changes, Laid $laid, string $what): void
    {
        $row = $layout->applications()->where('uid', $laid->uid)->firstOrFail();
        $of = $this->desk->plan($layout)->opens($laid)[1] ?? $laid->recipe->needsOf($laid->recipe);
        $changes->add($row->keep(WorksFile::fromLaid($this->with($laid, seen: [...$laid->seen, ['at' => max((int) $laid->endedAt, $this->desk->minute()), 'what' => $what, 'of' => $of->value]]))));
    }

    private function close(Layout $layout, Application $row, Laid $laid, string $kind): void
    {
        $this->ledger->record($layout, "{$laid->title} ".($kind === 'done' ? 'done' : 'stopped half-way'), fn (Changes $changes) => $changes->save($row->keep(WorksFile::fromLaid($laid))));
        $this->journal->note($layout, $laid, $kind);
    }

    private function open(Layout $layout, Application $row): Laid
    {
        $laid = $this->find($layout, $row);

        return $laid->endedAt === null ? $laid : throw new Refusal("“{$laid->title}” is finished already.", 'move');
    }

    private function find(Layout $layout, Application $row): Laid
    {
        return array_values(array_filter($this->load->works($layout)->laid, fn (Laid $l): bool => $l->uid === $row->uid))[0];
    }

    /**
     * @param list<array{at: int, what: string, of: string}>|null $seen
     */
    private function with(Laid $l, ?int $endedAt = null, ?array $seen = null): Laid
    {
        return Laid::of(
            $l->uid, $l->section, $l->zone, $l->coat, $l->pass, $l->title, $l->recipe, $l->mm, $l->rings, $l->area, $l->track, $l->minutes, $l->amounts,
            $l->startedAt, $endedAt ?? $l->endedAt, $seen ?? $l->seen, $l->extra,
        );
    }

    /** The part of a patch that was laid first: from the back, or from the beginning of the track. */
    private function firstPart(Layout $layout, Laid $laid, float $share): Band
    {
        $section = $this->load->of($layout)->section($laid->section);
        $along = $laid->recipe->bed === 'track';
        $lines = range(0.0, $along ? $section->width : $section->depth, 2.0);
        $across = [0.0, $along ? $section->depth : $section->width];
        $rings = (new Band(0.0, $section->width, 0.0, $section->depth))->of($laid->ringsOn($section->placement));
        $cover = $along ? Coverage::of($rings, $lines, $across) : Coverage::of($rings, $across, $lines);
        $cut = (new Profile(array_values($lines), $cover))->cutAt($share, ! $along);

        return $along ? new Band(x2: $cut) : new Band(y1: $cut);
    }
}
