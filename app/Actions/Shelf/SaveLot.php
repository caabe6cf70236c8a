<?php

declare(strict_types=1);

namespace App\Actions\Shelf;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\StaleRecord;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use DateTimeImmutable;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Material;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\Store;

/** Lots of materials: put on the shelf, weighed, described, taken up again, thrown away. */
final readonly class SaveLot
{
    public function __construct(
        private Ledger $ledger,
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ShelfRows $rows,
        private Library $library,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input material, pack, count, or amount, share or gross as below; price, supplier, mark, bought_on,
     *     opened, best_before, keeps_days, tare_g, strength
     */
    public function add(Layout $layout, array $input): MaterialLot
    {
        $typed = new FormInput($input);
        [$lot, $amount] = $typed->made(function () use ($typed): array {
            $material = $this->material($typed->text('material'));
            $lot = $this->described($typed, new MaterialLot(
                $this->rows->uid(),
                $material->name,
                $material->unit,
                keepsDays: $material->keepsDays,
            ));
            $count = $typed->number('count', 1.0);
            if (! is_nan($count) && ($count < 1.0 || $count > 500.0 || floor($count) !== $count)) {
                $typed->fault('There are 1 to 500 packs, whole ones.', 'count');
            }

            return [$lot, $this->left($typed, $lot, $count)];
        });
        $sentence = "{$lot->material} put on the shelf";
        $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use ($layout, $lot, $amount): void {
            $this->rows->add($changes, $layout, $lot);
            $this->rows->move($changes, $layout, $lot->uid, $amount, MovementCause::Bought, $this->desk->minute());
        });

        return $lot;
    }

    /** @param  array<string, mixed>  $input as above but what it is and how much */
    public function describe(Layout $layout, string $uid, array $input): void
    {
        $typed = new FormInput($input);
        $lot = $this->lot($this->load->works($layout)->store, $uid);
        $changed = $typed->made(fn (): MaterialLot => $this->described($typed, $lot));
        $this->ledger->record(
            $layout,
            "{$lot->material} described",
            fn (ChangeSet $changes) => $this->rows->change($changes, $layout, $changed),
        );
    }

    /**
     * What there is of it now, by its weight, its share of a pack or an amount: a movement makes up the difference.
     *
     * @param  array<string, mixed>  $input gross (g on the scale, container included), share (of a pack) or amount; shown (what the page
     *     said)
     */
    public function count(Layout $layout, string $uid, array $input): void
    {
        $typed = new FormInput($input);
        $this->ledger->record($layout, 'Counted on the shelf', function (ChangeSet $changes) use ($layout, $uid, $typed): void {
            $store = $this->load->works($layout)->store;
            $lot = $this->lot($store, $uid);
            $amount = $typed->made(fn (): float => $this->counted($typed, $lot));
            $there = $store->amount($uid);
            $shown = $typed->text('shown');
            if ($shown !== '' && abs((float) $shown - $there) > 0.05) {
                $words = fn (float $n): string => implode(' ', MaterialAmount::shown($n, $lot->unit));
                throw new StaleRecord($lot->material, ['how much' => $words($there)], ['how much' => $words($amount)]);
            }
            $this->rows->move($changes, $layout, $uid, $amount - $there, MovementCause::Counted, $this->desk->minute());
        });
    }

    public function throwAway(Layout $layout, string $uid): void
    {
        $this->ledger->record($layout, 'Thrown away', function (ChangeSet $changes) use ($layout, $uid): void {
            $store = $this->load->works($layout)->store;
            $lot = $this->lot($store, $uid);
            $this->rows->move($changes, $layout, $lot->uid, -$store->amount($uid), MovementCause::ThrownAway, $this->desk->minute());
        });
    }

    /**
     * What was taken up again of something laid: a lot of its own, for it is mixed.
     *
     * @param  array<string, mixed>  $input laid (uid), material, amount
     */
    public function recover(Layout $layout, array $input): void
    {
        $typed = new FormInput($input);
        $sentence = 'Taken up again: '.$typed->text('material');
        $this->ledger->unlessDone($layout, $sentence);
        $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use ($layout, $typed): void {
            $works = $this->load->works($layout);
            [$laid, $put] = $this->put($works->laid, $typed->text('laid'), $typed->text('material'));
            $back = $put->atHand() - $put->amount;
            $typedIn = $typed->amount('amount', $put->unit, current: $back, decimals: 1);
            $amount = $typed->made(
                fn (): float => InvalidValue::unlessBetween($typedIn, 0.01, $put->atHand(), 'What comes back', $put->unit, 'amount'),
            );
            $lots = array_filter($works->store->materials(), fn (MaterialLot $l): bool => $l->recovered && $l->material === $put->material);
            $lot = array_values($lots)[0] ?? null;
            if ($lot === null) {
                $lot = new MaterialLot($this->rows->uid(), $put->material, $put->unit, recovered: true);
                $this->rows->add($changes, $layout, $lot);
            }
            $this->rows->move($changes, $layout, $lot->uid, $amount, MovementCause::Recovered, $this->desk->minute(), $laid->uid);
        });
    }

    /**
     * @param  list<CoatApplication>  $all
     * @return array{CoatApplication, MaterialAmount}
     */
    private function put(array $all, string $uid, string $material): array
    {
        foreach ($all as $laid) {
            foreach ($laid->uid === $uid && $laid->endedAt !== null ? $laid->amounts : [] as $one) {
                if ($one->material === $material && $one->recovered > 0.0) {
                    return [$laid, $one];
                }
            }
        }
        throw new InvalidValue('Nothing of it can be taken up again there.', 'laid');
    }

    private function lot(Store $store, string $uid): MaterialLot
    {
        return array_column($store->materials(), null, 'uid')[$uid] ?? throw new InvalidValue('That lot is gone.', 'lot');
    }

    private function material(string $name): Material
    {
        return $this->library->materials[$name]
            ?? throw new InvalidValue($name === '' ? 'Which material is it?' : "There is no material “{$name}”.", 'material');
    }

    private function described(FormInput $typed, MaterialLot $lot): MaterialLot
    {
        $number = fn (string $field): ?float => $typed->text($field) === '' ? null : $typed->number($field);
        $now = new DateTimeImmutable('@'.$this->desk->minute() * 60);
        $day = fn (string $field): ?string => $typed->text($field) === '' ? null : $typed->day($field, $now);
        $price = $number('price');
        $keeps = $number('keeps_days');
        $opened = $typed->text('opened');

        return $lot->but(
            pack: match (true) {
                ! $typed->has('pack') => $lot->pack,
                $typed->text('pack') === '' => null,
                default => $typed->amount('pack', $lot->unit, current: $lot->pack, decimals: 3),
            },
            minor: $price === null ? ($typed->has('price') ? null : $lot->minor) : (int) round(100.0 * $price),
            supplier: $typed->text('supplier', $lot->supplier),
            mark: $typed->text('mark', $lot->mark),
            boughtOn: $typed->has('bought_on') ? $day('bought_on') : $lot->boughtOn,
            openedAt: match (true) {
                ! $typed->has('opened') => $lot->openedAt,
                $opened === '' => null,
                default => $this->moment((string) $day('opened'), $lot),
            },
            bestBefore: $typed->has('best_before') ? $day('best_before') : $lot->bestBefore,
            keepsDays: $typed->has('keeps_days') ? ($keeps === null ? null : (int) $keeps) : $lot->keepsDays,
            tare: match (true) {
                ! $typed->has('tare_g') => $lot->tare,
                $typed->text('tare_g') === '' => null,
                default => $typed->amount('tare_g', 'g', current: $lot->tare, decimals: 1),
            },
            strength: $typed->has('strength') ? $number('strength') : $lot->strength,
        );
    }

    /** Noon of a day; a day that is shown as it stands keeps its minute. */
    private function moment(string $day, MaterialLot $lot): int
    {
        $at = WorksFile::minute("{$day}T12:00Z", 'opened');

        return $lot->openedAt !== null && abs($lot->openedAt - $at) < 1440 && gmdate('Y-m-d', $lot->openedAt * 60) === $day
            ? $lot->openedAt
            : $at;
    }

    /** What there is of what is put on the shelf: so many packs, or what was typed. */
    private function left(FormInput $typed, MaterialLot $lot, float $count): float
    {
        if ($typed->text('gross') !== '' || $typed->text('share') !== '' || $typed->text('amount') !== '') {
            return $this->counted($typed, $lot);
        }

        return $count * ($lot->pack ?? throw new InvalidValue('How much is there: a pack, an amount, or a weight?', 'pack'));
    }

    private function counted(FormInput $typed, MaterialLot $lot): float
    {
        if ($typed->text('gross') !== '') {
            $net = $typed->amount('gross', 'g') - $typed->amount('tare_g', 'g', $lot->tare ?? 0.0, $lot->tare, 1);
            if ($net < 0.0) {
                throw new InvalidValue('It weighs less than its empty container.', 'gross');
            }
            $density = $lot->unit === 'g' ? 1.0 : $this->library->materials[$lot->material]->density ?? null;

            return $density === null || ! in_array($lot->unit, ['g', 'ml'], true)
                ? throw new InvalidValue("{$lot->material} is not weighed; count it in ".Format::unit($lot->unit).'.', 'gross')
                : $net / $density;
        }
        if ($typed->text('share') !== '') {
            $share = self::share($typed->text('share'));
            $pack = $lot->pack ?? throw new InvalidValue('How much a full pack holds is not known.', 'share');

            return InvalidValue::unlessBetween($share, 0.0, 500.0, 'The packs', '', 'share') * $pack;
        }

        return InvalidValue::unlessBetween($typed->amount('amount', $lot->unit), 0.0, 1e7, 'The amount', $lot->unit, 'amount');
    }

    /** “3/4”, “0.75”, “75 %”, “2 1/2” of a pack. */
    private static function share(string $text): float
    {
        if (preg_match('/^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/', $text, $found) === 1 && (int) $found[3] > 0) {
            return (float) $found[1] + (int) $found[2] / (int) $found[3];
        }
        if (preg_match('/^(\d+(?:[.,]\d+)?)\s*(%)?$/', $text, $found) === 1) {
            return (float) str_replace(',', '.', $found[1]) / (isset($found[2]) ? 100.0 : 1.0);
        }
        throw new InvalidValue("“{$text}” is no share of a pack: 3/4, 0.75 or 75 %.", 'share');
    }
}
