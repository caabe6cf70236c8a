<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Coats\Material;
use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\Store;

/** Prices and stock as tables, out and in: as a spreadsheet writes them, with decimal commas, quotes and its own separator. */
final readonly class ShelfCsv
{
    public const MAX_ROWS = 5000;

    /** More faults than this are no help. */
    private const MAX_FAULTS = 8;

    private const PRICES = ['material', 'amount', 'unit', 'price', 'supplier', 'available'];

    private const STOCK = [
        'lot', 'material', 'amount', 'unit', 'pack', 'price', 'supplier', 'mark', 'bought_on', 'opened_at', 'best_before', 'keeps_days',
        'tare', 'strength', 'recovered',
    ];

    /** Decimals that amounts have in the unit of their material: what another unit cannot say exactly comes back as it was. */
    private const DECIMALS = 3;

    /** @param  array<string, Material>  $materials by name */
    public function __construct(private array $materials)
    {
    }

    /** @param  list<PackPrice>  $prices */
    public function prices(array $prices): string
    {
        return Csv::write(
            self::PRICES,
            array_map(
                fn (PackPrice $p): array => [
                    $p->material,
                    Format::number($p->amount, $this->materials[$p->material]->unit ?? '', self::DECIMALS),
                    Format::unit($this->materials[$p->material]->unit ?? ''),
                    sprintf('%.2f', $p->minor / 100.0),
                    $p->supplier,
                    $p->available ?? '',
                ],
                $prices,
            ),
        );
    }

    public function stock(Store $store): string
    {
        return Csv::write(
            array_map(fn (string $of): string => $of === 'tare' ? Format::column($of, 'g') : $of, self::STOCK),
            array_map(
                fn (MaterialLot $l): array => [
                    $l->uid,
                    $l->material,
                    Format::number($store->amount($l->uid), $l->unit, self::DECIMALS),
                    Format::unit($l->unit),
                    $l->pack === null ? '' : Format::number($l->pack, $l->unit, self::DECIMALS),
                    $l->minor === null ? '' : sprintf('%.2f', $l->minor / 100.0),
                    $l->supplier,
                    $l->mark,
                    $l->boughtOn ?? '',
                    $l->openedAt === null ? '' : WorksFile::iso($l->openedAt),
                    $l->bestBefore ?? '',
                    $l->keepsDays ?? '',
                    $l->tare === null ? '' : Format::number($l->tare, 'g', self::DECIMALS),
                    $l->strength ?? '',
                    $l->recovered ? 'yes' : '',
                ],
                $store->materials(),
            ),
        );
    }

    /**
     * @param  callable(): string  $uid
     * @return list<PackPrice>
     *
     * @throws InvalidValues naming every row that cannot be read; then nothing is taken
     */
    public function readPrices(string $text, callable $uid): array
    {
        $seen = [];

        return $this->rows($text, ['material', 'amount', 'price'], function (array $row) use ($uid, &$seen): PackPrice {
            $material = $this->material($row['material']);
            $price = new PackPrice(
                $uid(),
                $material->name,
                $this->amount($row['amount'], $row['unit'] ?? '', $material, 'amount'),
                $this->minor($row['price'], 'price'),
                supplier: $row['supplier'] ?? '',
                available: ($row['available'] ?? '') === '' ? null : (int) $this->number($row['available'], 'available'),
            );
            if (isset($seen[$price->key()])) {
                throw new InvalidValue('That pack stands in the table twice.', 'material');
            }
            $seen[$price->key()] = true;

            return $price;
        });
    }

    /**
     * @param  callable(): string  $uid
     * @return list<array{lot: MaterialLot, amount: float}> lots that are there already keep their uid
     *
     * @throws InvalidValues naming every row that cannot be read; then nothing is taken
     */
    public function readStock(string $text, Store $store, callable $uid): array
    {
        $known = array_column($store->materials(), null, 'uid');

        return $this->rows($text, ['material', 'amount'], function (array $row) use ($known, $uid): array {
            $material = $this->material($row['material']);
            $has = fn (string $key): bool => ($row[$key] ?? '') !== '';
            $old = $has('lot')
                ? $known[$row['lot']] ?? throw new InvalidValue("There is no lot “{$row['lot']}”; leave it empty for a new one.", 'lot')
                : null;
            $number = fn (string $key): ?float => $has($key) ? $this->number($row[$key], $key) : null;
            $lot = new MaterialLot(
                $old->uid ?? $uid(),
                $material->name,
                $material->unit,
                $has('pack') ? $this->amount($row['pack'], $row['unit'] ?? '', $material, 'pack') : null,
                $has('price') ? $this->minor($row['price'], 'price') : null,
                $row['supplier'] ?? '',
                $row['mark'] ?? '',
                $has('bought_on') ? $row['bought_on'] : null,
                $has('opened_at') ? WorksFile::minute($row['opened_at'], 'opened_at') : null,
                $has('best_before') ? $row['best_before'] : null,
                $has('keeps_days') ? (int) $this->number($row['keeps_days'], 'keeps_days') : null,
                self::tare($number('tare_g'), $number('tare_oz')),
                $number('strength'),
                in_array(mb_strtolower($row['recovered'] ?? ''), ['yes', 'y', '1', 'true', 'x'], true),
                $old->extra ?? [],
            );

            return ['lot' => $lot, 'amount' => $this->amount($row['amount'], $row['unit'] ?? '', $material, 'amount', 0.0)];
        });
    }

    /**
     * @template T
     *
     * @param  list<string>  $needed columns
     * @param  callable(array<string, string>): T  $make
     * @return list<T>
     *
     * @throws InvalidValues
     */
    private function rows(string $text, array $needed, callable $make): array
    {
        if (substr_count($text, "\n") > self::MAX_ROWS + 1) {
            throw new InvalidValues([new InvalidValue('More than '.self::MAX_ROWS.' rows: take a part at a time.', 'row 1')]);
        }
        ['head' => $head, 'rows' => $rows] = Csv::read($text);
        $missing = array_diff($needed, $head);
        if ($missing !== []) {
            $what = implode(', ', $missing);
            throw new InvalidValues([new InvalidValue("The first row names the columns; {$what} has to be among them.", 'row 1')]);
        }
        $made = $faults = [];
        foreach ($rows as $line => $cells) {
            try {
                if (count($cells) !== count($head)) {
                    throw new InvalidValue('It has '.count($cells).' cells, the first row '.count($head).'.', '');
                }
                $made[] = $make(array_combine($head, $cells));
            } catch (InvalidValue $refusal) {
                $column = $refusal->place === '' ? '' : ", {$refusal->place}";
                $faults[] = new InvalidValue($refusal->getMessage(), "row {$line}{$column}");
                if (count($faults) === self::MAX_FAULTS) {
                    break;
                }
            }
        }
        if ($faults !== []) {
            throw new InvalidValues($faults);
        }

        return $made === [] ? throw new InvalidValues([new InvalidValue('There is no row in it.', 'row 2')]) : $made;
    }

    /** @throws InvalidValue */
    private function material(string $name): Material
    {
        foreach ($this->materials as $material) {
            if (mb_strtolower($material->name) === mb_strtolower(trim($name))) {
                return $material;
            }
        }
        throw new InvalidValue($name === '' ? 'A material is missing.' : "There is no material “{$name}”.", 'material');
    }

    /** @throws InvalidValue */
    private function amount(string $text, string $unit, Material $material, string $column, float $least = 0.001): float
    {
        $unit = mb_strtolower(trim($unit));
        $amount = $this->number($text, $column);
        if ($unit !== '' && $unit !== mb_strtolower($material->unit)) {
            try {
                $amount = round(Amount::convert($amount, $unit, $material->unit), self::DECIMALS);
            } catch (InvalidValue) {
                $own = Format::unit($material->unit);
                throw new InvalidValue("{$material->name} is measured in {$own}, not in {$unit}.", 'unit');
            }
        }

        return InvalidValue::unlessBetween($amount, $least, 1e7, 'The amount', $material->unit, $column);
    }

    /** What the empty container weighs, g. */
    private static function tare(?float $grams, ?float $ounces): ?float
    {
        return $ounces === null ? $grams : round(Amount::convert($ounces, 'oz', 'g'), self::DECIMALS);
    }

    /** @throws InvalidValue */
    private function minor(string $text, string $column): int
    {
        return (int) round(100.0 * $this->number($text, $column));
    }

    /** @throws InvalidValue */
    private function number(string $text, string $column): float
    {
        $plain = (string) preg_replace('/[\s\x{00a0}\x{202f}\']/u', '', $text);
        // Where both stand, the last one parts the decimals.
        $comma = strrpos($plain, ',');
        $point = strrpos($plain, '.');
        $plain = $comma !== false && ($point === false || $comma > $point)
            ? str_replace(',', '.', str_replace('.', '', $plain))
            : str_replace(',', '', $plain);

        return is_numeric($plain)
            ? (float) $plain
            : throw new InvalidValue($text === '' ? 'A number is missing.' : "“{$text}” is not a number.", $column);
    }
}
