<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\Purchase;
use IdleRidge\Core\Shelf\PurchaseNeed;
use IdleRidge\Core\Shelf\PurchasePack;
use IdleRidge\Core\Shelf\PurchaseProblem;
use JsonException;

/** Reads what is to be bought, and writes what to buy. */
final class BuyFile
{
    public const FORMAT = 'idle-ridge/buy';

    /** @throws InvalidValue with the JSON pointer of what is wrong */
    public static function read(string $json): PurchaseProblem
    {
        try {
            $r = new Record(json_decode($json, false, 32, JSON_THROW_ON_ERROR), '');
        } catch (JsonException) {
            throw new InvalidValue('not a readable JSON file', '/');
        }
        if (! $r->has('format') || $r->text('format') !== self::FORMAT) {
            throw new InvalidValue('format must be “'.self::FORMAT.'”', '/format');
        }
        if ($r->number('version', 0.0) !== 1.0) {
            throw new InvalidValue('only version 1 is known', '/version');
        }
        $needs = array_map(
            fn (Record $n): PurchaseNeed => self::closed(
                $n,
                fn (): PurchaseNeed => new PurchaseNeed($n->text('id'), self::whole($n, 'amount'), self::whole($n, 'in_store')),
            ),
            $r->records('needs'),
        );
        $packs = array_map(
            fn (Record $p): PurchasePack => self::closed(
                $p,
                fn (): PurchasePack => new PurchasePack(
                    $p->text('id'),
                    $p->text('for'),
                    self::whole($p, 'amount'),
                    self::whole($p, 'price'),
                    $p->numberOrNull('available') === null ? null : self::whole($p, 'available'),
                    $p->text('supplier', ''),
                ),
            ),
            $r->records('packs'),
        );
        $carriage = [];
        foreach ($r->has('suppliers') ? $r->records('suppliers') : [] as $k => $s) {
            $name = $s->text('name');
            if (trim($name) === '' || isset($carriage[$name])) {
                throw new InvalidValue('A supplier has a name of its own.', "/suppliers/{$k}/name");
            }
            $carriage[$name] = self::whole($s, 'carriage');
            $s->close();
        }
        $budget = $r->numberOrNull('budget') === null ? null : self::whole($r, 'budget');
        $r->extra();

        return $r->within(fn (): PurchaseProblem => new PurchaseProblem($needs, $packs, $carriage, $budget));
    }

    /**
     * @return array{buy: list<array{pack: string, count: int}>, cost: int, surplus: object, short: object, carriage: int,
     *     left: list<string>}
     */
    public static function answer(Purchase $purchase): array
    {
        return [
            'buy' => array_map(fn (array $one): array => ['pack' => $one['pack']->id, 'count' => $one['count']], $purchase->buy),
            'cost' => $purchase->cost,
            'surplus' => (object) $purchase->surplus,
            'short' => (object) $purchase->short,
            'carriage' => $purchase->carriage,
            'left' => $purchase->left,
        ];
    }

    /**
     * @template T
     *
     * @param  callable(): T  $make
     * @return T
     */
    private static function closed(Record $r, callable $make): mixed
    {
        $made = $r->within($make);
        $r->extra();

        return $made;
    }

    /** @throws InvalidValue unless it is a whole number */
    private static function whole(Record $r, string $key): int
    {
        $value = $r->number($key);

        return floor($value) === $value && abs($value) < 1e12
            ? (int) $value
            : throw new InvalidValue('expected a whole number', $r->at($key));
    }
}
