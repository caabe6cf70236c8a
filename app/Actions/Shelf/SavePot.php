<?php

declare(strict_types=1);

namespace App\Actions\Shelf;

use App\Actions\FormInput;
use App\Actions\Journal\SaveJournal;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Computed\Plan\ComputedPlan;
use App\Computed\Plan\ComputedPots;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Pots\Mixture;
use IdleRidge\Core\Pots\Portion;
use IdleRidge\Core\Pots\PotOffer;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\Pot;
use IdleRidge\Core\Shelf\Store;

/** A pot is mixed, stirred again, or poured away. */
final readonly class SavePot
{
    public function __construct(
        private Ledger $ledger,
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ComputedPots $pots,
        private ShelfRows $rows,
        private SaveJournal $journal,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input pot (its id), move, or recipe, by, value, material, or mix and value for what was asked;
     *     cup (ml), lots[material] → lot to take it from; factor, so many times as much as the scale says was poured
     *
     * @throws InvalidValue when it is no longer asked for, stands mixed already, or the shelf has not enough
     */
    public function mix(Layout $layout, array $input): Pot
    {
        $typed = new FormInput($input);
        $offer = $this->offer($layout, $typed);
        $pot = $offer->plan?->pot() ?? throw new InvalidValue("“{$offer->mixture->title}” stands mixed already.", 'pot');
        $more = $typed->made(
            fn (): float => InvalidValue::unlessBetween($typed->number('factor', 1.0), 0.1, 10.0, 'So many times as much', '', 'pot'),
        );
        $pot = $pot->times($more);
        $sentence = "Pot mixed: {$pot->title}";
        $this->ledger->unlessDone($layout, $sentence);

        return $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use ($layout, $typed, $pot, $offer): Pot {
            $store = $this->load->works($layout)->store;
            $now = $this->desk->minute();
            $taken = $this->taken($store, $pot, $typed);
            $within = $offer->plan?->useWithin();
            $mixed = new Pot(
                $this->rows->uid(),
                mb_substr($pot->title, 0, 160),
                $pot->key,
                $pot->unit(),
                array_map(fn (Portion $p): array => $p->part(), $pot->portions),
                $pot->moves,
                $now,
                $within === null ? null : $now + (int) floor($within),
                $pot->kind->keepsDays() === null ? null : $now + 1440 * $pot->kind->keepsDays(),
                made: $pot->total(),
            );
            $this->rows->add($changes, $layout, $mixed);
            $this->rows->take($changes, $layout, $store, $taken, MovementCause::Mixed, $now, $mixed->uid);
            $this->rows->move($changes, $layout, $mixed->uid, $mixed->made, MovementCause::Mixed, $now);

            return $mixed;
        });
    }

    public function stir(Layout $layout, string $uid): void
    {
        $this->ledger->record($layout, 'Pot stirred again', function (ChangeSet $changes) use ($layout, $uid): void {
            $pot = $this->standing($layout, $uid)[0];
            $this->rows->change($changes, $layout, $pot->but(stirred: [...$pot->stirred, $this->desk->minute()]));
        });
    }

    /** What is left of it is lost, and said so in the journal. */
    public function pourAway(Layout $layout, string $uid): void
    {
        $lost = $this->ledger->record($layout, 'Pot poured away', function (ChangeSet $changes) use ($layout, $uid): array {
            [$pot, $left] = $this->standing($layout, $uid);
            $this->rows->move($changes, $layout, $pot->uid, -$left, MovementCause::PouredAway, $this->desk->minute());

            return [$pot, $left];
        });
        $this->journal->pouredAway($layout, ...$lost);
    }

    /** @return array{Pot, float} the pot and what is left of it */
    private function standing(Layout $layout, string $uid): array
    {
        $store = $this->load->works($layout)->store;
        foreach ($store->pots() as $pot) {
            if ($pot->uid === $uid && $store->amount($uid) > 0.0) {
                return [$pot, $store->amount($uid)];
            }
        }
        throw new InvalidValue('That pot is empty or gone. This is how it stands.', 'pot');
    }

    private function offer(Layout $layout, FormInput $typed): PotOffer
    {
        $words = ['move', 'recipe', 'by', 'value', 'material', 'mix'];
        $asked = $this->pots->read(array_combine($words, array_map($typed->text(...), $words)));
        $cup = $typed->text('cup') === '' ? null : $typed->amount('cup', 'ml');
        $offers = $typed->made(fn (): array => $this->pots->asked($this->desk->plan($layout), $asked, $cup));
        foreach ($offers as $offer) {
            if ($offer->id === $typed->text('pot')) {
                return $offer;
            }
        }
        throw new InvalidValue('The plan has moved on: that pot is no longer asked for. These are.', 'pot');
    }

    /**
     * From which lots it comes: those that were picked first, then the oldest that is open.
     *
     * @return array<string, float> lot → how much
     *
     * @throws InvalidValue where the shelf has not enough of what it knows
     */
    private function taken(Store $store, Mixture $pot, FormInput $typed): array
    {
        $taken = [];
        foreach ($pot->portions as $portion) {
            if (! $store->knows($portion->material)) {
                continue;
            }
            $picked = $typed->text("lots.{$portion->material}");
            [$drawn, $short] = $store->draw($portion->material, $portion->amount, $picked === '' ? [] : [$picked]);
            if ($short > 0.0) {
                [$has, $unit] = MaterialAmount::shown($portion->amount - $short, $portion->unit);
                throw new InvalidValue(
                    "There is only {$has} {$unit} of {$portion->material} on the shelf: take a smaller cup, or weigh what there is.",
                    "lots/{$portion->material}",
                );
            }
            foreach ($drawn as [$lot, $amount]) {
                $taken[$lot->uid] = ($taken[$lot->uid] ?? 0.0) + $amount;
            }
        }

        return $taken;
    }
}
