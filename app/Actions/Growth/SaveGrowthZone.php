<?php

declare(strict_types=1);

namespace App\Actions\Growth;

use App\Actions\Coats\CoatRows;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Zone as ZoneRow;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\Stand;

/** Puts what grows among the work: a zone that follows a stand or a row, with the coats that it takes. */
final readonly class SaveGrowthZone
{
    /** Litter does not lie everywhere under a wood. */
    private const LITTER_SHARE = 0.6;

    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private CoatRows $coats,
        private Library $library,
    ) {
    }

    /** @return string uid of the zone in the shade of a stand: litter first, then the trees, fitted before and set late */
    public function under(Layout $layout, Stand $stand): string
    {
        return $this->put(
            $layout,
            new Zone($this->rows->uid(), $stand->section, "Under {$stand->name}", under: [$stand->uid]),
            ['leaf-litter' => self::LITTER_SHARE, 'trees-planted' => 1.0],
        );
    }

    /** @return string uid of the zone along a row on a board */
    public function along(Layout $layout, Row $row, string $section): string
    {
        $wires = $row->figures->wires === [] ? [] : ['wires-strung' => 1.0];

        return $this->put(
            $layout,
            new Zone($this->rows->uid(), $section, $row->called(), along: $row->uid),
            match ($row->kind) {
                RowKind::Hedge => ['hedge' => 1.0],
                RowKind::DryWall => ['dry-wall' => 1.0],
                RowKind::Kerb => ['kerb-stones' => 1.0],
                RowKind::Sleepers => ['sleepers-laid' => 1.0],
                RowKind::Joints => ['concrete-joints' => 1.0],
                default => ['poles-and-fences' => 1.0] + $wires,
            },
        );
    }

    /**
     * @param  array<string, float>  $recipes id → share
     *
     * @throws InvalidValue when such a zone is there
     */
    private function put(Layout $layout, Zone $zone, array $recipes): string
    {
        foreach ($this->load->works($layout)->zonesOf($zone->section) as $other) {
            if (($zone->along !== null && $other->along === $zone->along) || ($zone->under !== [] && $other->under === $zone->under)) {
                throw new InvalidValue("It is among the work: its zone is “{$other->name}”.", 'zone');
            }
        }
        $sentence = "{$zone->name} put among the work";
        $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use ($layout, $zone, $recipes): void {
            $this->rows->add($changes, $layout, ZoneRow::class, WorksFile::fromZone($zone));
            $coats = [];
            foreach ($recipes as $id => $share) {
                $coats[] = new Coat($this->rows->uid(), $zone->uid, $this->library->recipe($id), share: $share);
            }
            $this->coats->add($changes, $layout, [], $coats);
        });

        return $zone->uid;
    }
}
