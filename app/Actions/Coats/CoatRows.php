<?php

declare(strict_types=1);

namespace App\Actions\Coats;

use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\NewRows;
use App\Models\Coat as CoatRow;
use App\Models\Layout;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Interchange\WorksFile;

/** The rows of a zone's coats, in the builder's order. */
final readonly class CoatRows
{
    public function __construct(private NewRows $rows)
    {
    }

    /**
     * Puts coats where they first stand: each after the last of its stage or an earlier one, and after the one before it.
     *
     * @param  list<Coat>  $standing those of the zone, in their order
     * @param  list<Coat>  $new
     * @return CoatRow the last of the new ones
     */
    public function add(ChangeSet $changes, Layout $layout, array $standing, array $new): CoatRow
    {
        $rows = [];
        $place = 0;
        foreach ($new as $coat) {
            $place = max($place, $coat->firstPlace($standing));
            array_splice($standing, $place++, 0, [$coat]);
            $rows[] = $this->rows->add($changes, $layout, CoatRow::class, WorksFile::fromCoat($coat));
        }
        $this->order($changes, $layout, array_column($standing, 'uid'));

        return $rows[count($rows) - 1]->refresh();
    }

    /** @param  list<string>  $uids of all coats of a zone, in their new order */
    public function order(ChangeSet $changes, Layout $layout, array $uids): void
    {
        $rows = $layout->coats()->whereIn('uid', $uids)->get();
        $last = -1;
        foreach ($rows->pluck('position')->sort()->values() as $k => $position) {
            $row = $rows->firstOrFail('uid', $uids[$k]);
            $row->position = $last = max($last + 1, (int) $position);
            $changes->add($row);
        }
    }
}
