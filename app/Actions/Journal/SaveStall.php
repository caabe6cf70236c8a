<?php

declare(strict_types=1);

namespace App\Actions\Journal;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Stall as StallRow;
use IdleRidge\Core\Interchange\JournalFile;
use IdleRidge\Core\Journal\Mishap;
use IdleRidge\Core\Journal\Stall;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use IdleRidge\Core\Track\Run;

/** Where something stalled, scraped or came off. */
final readonly class SaveStall
{
    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private SaveJournal $journal,
    ) {
    }

    /** @param  array<string, mixed>  $input run, station (a length), vehicle, what, cleaned, pass */
    public function add(Layout $layout, array $input): Stall
    {
        $project = $this->load->of($layout);
        $typed = new FormInput($input);
        $run = array_column(array_map(fn (Run $r): array => [$r->uid, $r], $project->runs), 1, 0)[$typed->text('run')] ?? null;
        $stall = $typed->made(function () use ($typed, $run): Stall {
            if ($run === null) {
                throw new InvalidValue('On which run was it?', 'run');
            }
            $long = $run->alignment->length;
            $station = $typed->length('station');
            if ($station < 0.0 || $station > $long) {
                throw new InvalidValue("{$run->name} is ".Format::length($long).' long.', 'station');
            }

            return new Stall(
                $this->rows->uid(),
                $this->desk->minute(),
                $run->uid,
                $station,
                Words::plain($typed->text('vehicle')),
                InvalidValue::unlessOneOf(Mishap::class, $typed->text('what'), 'what'),
                $typed->text('cleaned') !== '',
                (int) $typed->number('pass', 1.0),
            );
        });
        $at = $run?->alignment->pointAt($stall->station);
        $section = $project->sections[0]->uid ?? '';
        foreach ($project->sections as $board) {
            $there = $at === null ? null : $board->placement->toSection($at);
            $section = $there !== null && $board->holds($there->x, $there->y) ? $board->uid : $section;
        }
        $who = $stall->vehicle === '' ? 'A vehicle' : ucfirst($stall->vehicle);
        $where = "{$run?->name} at ".Format::length($stall->station);
        $sentence = "{$who} {$stall->what->value} on {$where}, pass {$stall->pass}".($stall->cleaned ? ', rails cleaned' : '');
        $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use ($layout, $stall, $section, $sentence): void {
            $this->rows->add($changes, $layout, StallRow::class, JournalFile::fromStall($stall));
            $this->journal->write($layout, $stall->what->kind(), $section, null, $sentence, [
                'place' => ['run' => $stall->run, 'station' => $stall->station, 'vehicle' => $stall->vehicle],
            ]);
        });

        return $stall;
    }

    /** What was noted by mistake, or is mended for good. */
    public function putAway(Layout $layout, StallRow $row): void
    {
        $this->ledger->record($layout, 'A mishap put away', fn (ChangeSet $changes) => $changes->delete($row));
    }
}
