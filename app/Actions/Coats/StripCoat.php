<?php

declare(strict_types=1);

namespace App\Actions\Coats;

use App\Actions\Journal\SaveJournal;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Coat as CoatRow;
use App\Models\Layout;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\StripWork;

/** Takes off a coat that was laid, with all that lies over it; it then comes back as work to do. */
final readonly class StripCoat
{
    public function __construct(
        private Ledger $ledger,
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private SaveJournal $journal,
    ) {
    }

    /** @throws InvalidValue when nothing of it is laid, or something of it is being laid */
    public function strip(Layout $layout, CoatRow $row): StripWork
    {
        $coat = array_values(array_filter($this->load->works($layout)->coats, fn (Coat $c): bool => $c->uid === $row->uid))[0];

        return $this->ledger->record($layout, "{$coat->title()} stripped", function (ChangeSet $changes) use ($layout, $coat): StripWork {
            $work = $this->desk->plan($layout)->work;
            $strip = StripWork::of($work, $coat) ?? throw new InvalidValue("Nothing of {$coat->title()} lies there.", 'coat');
            $strip->unlessOpen();
            foreach ($strip->off as $one) {
                $laid = $layout->applications()->where('uid', $one->uid)->firstOrFail();
                $changes->add($laid->keep(WorksFile::fromLaid($one->but(strippedAt: max($work->now, (int) $one->endedAt)))));
            }
            $zone = $work->project->works->zonesOf($strip->off[0]->section)[$coat->zone]->name ?? 'its zone';
            $this->journal->stripped($layout, $strip, $zone);

            return $strip;
        });
    }
}
