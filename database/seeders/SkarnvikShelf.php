<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Computed\Clock\UlidGenerator;
use DateTimeImmutable;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Shelf\Cup;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\ShelfRules;
use IdleRidge\Core\Shelf\StockMovement;
use IdleRidge\Core\Shelf\Store;

/** What stands on the demo's shelf: open and closed, nearly empty, past its time, taken up again; and where it is bought. */
final class SkarnvikShelf
{
    private const NEAR = 'Quayside';

    private const FAR = 'Post order';

    /** Material, unit, pack, left of it, bought and opened so many days ago (null: closed), mark, and what else there is to say. */
    private const LOTS = [
        ['white glue', 'ml', 1000.0, 140.0, 210, 190, '', ['tare' => 62.0]],
        ['white glue', 'ml', 1000.0, 1000.0, 20, null, '', []],
        ['basing glue', 'ml', 500.0, 265.0, 90, 60, '', ['tare' => 48.0]],
        ['earth paint', 'ml', 750.0, 410.0, 120, 100, 'batch 7', []],
        ['earth paint', 'ml', 750.0, 750.0, 15, null, 'batch 9', []],
        ['pulp plaster', 'g', 1000.0, 3400.0, 40, 35, '', []],
        ['casting plaster', 'g', 2500.0, 900.0, 400, 260, '', []],
        ['sifted soil', 'ml', 1000.0, 620.0, 300, 280, 'dark', []],
        ['stone ballast', 'g', 500.0, 480.0, 80, 50, 'grey, fine', []],
        ['fibre 2 mm', 'g', 100.0, 74.0, 150, 130, 'autumn mix', []],
        ['fibre 4 mm', 'g', 100.0, 12.0, 150, 120, 'autumn mix', []],
        ['gloss medium', 'ml', 250.0, 12.0, 60, 30, '', []],
        ['resin A', 'ml', 400.0, 400.0, 500, 480, '', []],
        ['hardener B', 'ml', 200.0, 200.0, 500, 480, '', []],
        ['alcohol 91 %', 'ml', 1000.0, 730.0, 70, 66, '', []],
        ['fine turf', 'ml', 500.0, 350.0, 200, 180, 'burnt grass', []],
    ];

    public function __construct(private readonly UlidGenerator $uids, private readonly DateTimeImmutable $now)
    {
    }

    /** @param  list<CoatApplication>  $laid what was laid before all was counted */
    public function store(array $laid): Store
    {
        $lots = $movements = [];
        foreach (self::LOTS as [$material, $unit, $pack, $left, $bought, $opened, $mark, $more]) {
            $lot = new MaterialLot($this->uids->next(), ...[
                'material' => $material,
                'unit' => $unit,
                'pack' => $pack,
                'minor' => $this->paid($material),
                'supplier' => self::NEAR,
                'mark' => $mark,
                'boughtOn' => $this->day(-$bought),
                'openedAt' => $opened === null ? null : $this->minute(-$opened),
                'keepsDays' => in_array($material, ['casting plaster', 'pulp plaster'], true) ? 180 : 365,
            ] + $more);
            $lots[] = $lot;
            $first = max($pack, $left);
            $movements[] = $this->move($lot->uid, $first, MovementCause::Bought, -$bought);
            if ($left < $first) {
                $movements[] = $this->move($lot->uid, $left - $first, MovementCause::Counted, -1);
            }
        }
        $again = new MaterialLot($this->uids->next(), 'sifted soil', 'ml', openedAt: $this->minute(-5), recovered: true);
        $from = array_values(array_filter($laid, fn (CoatApplication $l): bool => str_starts_with($l->title, 'Sifted soil')))[0] ?? null;
        $lots[] = $again;
        $movements[] = $this->move($again->uid, 85.0, MovementCause::Recovered, -5, $from?->uid);

        return new Store($lots, $movements);
    }

    public function rules(string $shopOn): ShelfRules
    {
        $cups = [new Cup('measuring jug', 500.0, 118.0), new Cup('small beaker', 120.0, 31.0)];

        return new ShelfRules($shopOn, 8000, [self::FAR => 590], $cups);
    }

    /** @return list<PackPrice> packs in the materials' own units */
    public function prices(): array
    {
        $of = [
            ['white glue', 1000.0, 990, self::NEAR],
            ['white glue', 250.0, 395, self::NEAR],
            ['basing glue', 500.0, 1150, self::NEAR],
            ['earth paint', 750.0, 1490, self::NEAR],
            ['pulp plaster', 1000.0, 640, self::NEAR],
            ['pulp plaster', 5000.0, 2450, self::FAR],
            ['casting plaster', 2500.0, 780, self::NEAR],
            ['sifted soil', 1000.0, 450, self::NEAR],
            ['stone ballast', 500.0, 895, self::NEAR],
            ['fibre 2 mm', 100.0, 590, self::FAR],
            ['fibre 4 mm', 100.0, 590, self::FAR],
            ['fibre 4 mm', 20.0, 190, self::NEAR],
            ['fibre 6 mm', 100.0, 650, self::FAR],
            ['gloss medium', 250.0, 1280, self::NEAR],
            ['gloss medium', 500.0, 2190, self::FAR],
            ['resin A', 400.0, 2350, self::NEAR],
            ['hardener B', 200.0, 1450, self::NEAR],
            ['fine turf', 500.0, 560, self::NEAR],
            ['plaster cloth', 1500.0, 1190, self::NEAR],
            ['ready scenery adhesive', 500.0, 1390, self::NEAR],
        ];

        return array_map(
            fn (array $p): PackPrice => new PackPrice($this->uids->next(), $p[0], $p[1], $p[2], supplier: $p[3]),
            $of,
        );
    }

    private function paid(string $material): ?int
    {
        foreach ($this->prices() as $price) {
            if ($price->material === $material) {
                return $price->minor;
            }
        }

        return null;
    }

    private function move(string $lot, float $by, MovementCause $cause, int $days, ?string $for = null): StockMovement
    {
        return new StockMovement($this->uids->next(), $lot, $by, $cause, null, $this->minute($days), for: $for);
    }

    private function day(int $days): string
    {
        return $this->now->modify("{$days} days")->format('Y-m-d');
    }

    private function minute(int $days): int
    {
        return intdiv($this->now->modify("{$days} days")->getTimestamp(), 60);
    }
}
