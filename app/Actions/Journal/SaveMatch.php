<?php

declare(strict_types=1);

namespace App\Actions\Journal;

use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Models\Coat as CoatRow;
use App\Models\Layout;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;

/** The same build-up on another zone: its coats in their order, with their recipes, thicknesses and colours. */
final readonly class SaveMatch
{
    public function __construct(private Ledger $ledger, private NewRows $rows, private ProjectLoader $load)
    {
    }

    /** @throws InvalidValue when one of the zones is gone, or the other has coats already */
    public function lay(Layout $layout, string $from, string $to): void
    {
        $zones = array_column($this->load->works($layout)->zones, null, 'uid');
        $source = $zones[$from] ?? throw new InvalidValue('That zone is gone.', 'from');
        $target = $zones[$to] ?? throw new InvalidValue('On which zone is it to be the same?', 'to');
        $this->ledger->record(
            $layout,
            "{$target->name} to be as {$source->name}",
            function (ChangeSet $changes) use ($layout, $source, $target): void {
                $coats = $this->load->works($layout)->coats;
                if (array_filter($coats, fn (Coat $c): bool => $c->zone === $target->uid) !== []) {
                    throw new InvalidValue("{$target->name} has coats of its own already; take them off its list first.", 'to');
                }
                foreach (array_filter($coats, fn (Coat $c): bool => $c->zone === $source->uid) as $coat) {
                    $same = $coat->but(uid: $this->rows->uid(), zone: $target->uid, minutes: null);
                    $this->rows->add($changes, $layout, CoatRow::class, WorksFile::fromCoat($same));
                }
            },
        );
    }
}
