<?php

declare(strict_types=1);

namespace Tests\Core\Pots;

use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\ShelfNeed;
use IdleRidge\Core\Pots\FreePot;
use IdleRidge\Core\Pots\Mixture;
use IdleRidge\Core\Pots\Mixtures;
use IdleRidge\Core\Pots\PotBoard;
use IdleRidge\Core\Pots\PotLine;
use IdleRidge\Core\Pots\PotOffer;
use IdleRidge\Core\Pots\PotPlan;
use IdleRidge\Core\Pots\PotRound;
use IdleRidge\Core\Pots\Weighing;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Rounds\RoundsDue;
use IdleRidge\Core\Rounds\SectionCard;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Whole;

/** Pots, shelf and rounds of whole layouts and of the whole library, as they were when they were looked at with care. */
final class WholePotsTest extends TestCase
{
    #[DataProvider('layouts')]
    public function test_pots_of_a_plan_are_as_they_were(string $layout): void
    {
        $plan = Whole::plan($layout);
        $work = $plan->work;
        $mixtures = new Mixtures(Build::library()->materials);
        $board = new PotBoard($plan, $mixtures, 120.0);
        $this->assertNull(Whole::difference("{$layout}-pots", [
            'moves' => array_map(fn (Move $move): array => array_map($this->offer(...), $board->move($move)), $work->moves),
            'sessions' => array_map(
                fn (array $s): array => array_map($this->offer(...), $board->session($plan->within($s[0], $s[1]))),
                $work->sessions,
            ),
            'rounds' => array_map($this->mixture(...), PotRound::of($work, $mixtures, $plan->moves)),
        ]));
    }

    #[DataProvider('layouts')]
    public function test_shelf_and_rounds_are_as_they_were(string $layout): void
    {
        $plan = Whole::plan($layout);
        $work = $plan->work;
        $store = $work->project->works->store;
        $this->assertNull(Whole::difference("{$layout}-shelf", [
            'stock' => $store->stock($work->now),
            'in' => $store->inStore(),
            'sheets' => $store->sheets(),
            'planned' => $store->planned($work->now)->stock($work->now),
            'needs' => array_map(
                fn (ShelfNeed $n): array => [
                    $n->unit, $n->used, $n->need, $n->have, $n->isShort, $n->missing(), $n->first?->move->id, $n->places, $n->last->id,
                ],
                ShelfNeed::of($plan),
            ),
            'draws' => array_map(fn (string $key): array => $store->draw($key, 40.0), array_keys(Build::library()->materials)),
            'rounds' => RoundsDue::of($work),
            'cards' => array_map(
                fn (Section $s): array => get_object_vars(SectionCard::of($work, $s)),
                array_values(array_filter($work->project->sections, fn (Section $s): bool => isset($work->surveys[$s->uid]))),
            ),
        ]));
    }

    public function test_free_pots_of_the_whole_library_are_as_they_were(): void
    {
        $library = Build::library();
        $mixtures = new Mixtures($library->materials);
        $out = [];
        foreach ($library->recipes as $recipe) {
            foreach ([['area', 7.3], ['volume', 900.0]] as [$by, $value]) {
                $out[$recipe->id][] = $this->free($mixtures, $recipe, $by, $value);
            }
        }
        $this->assertNull(Whole::difference('free-pots', $out));
    }

    /** @return array<string, array{string}> */
    public static function layouts(): array
    {
        return array_combine(Whole::LAYOUTS, array_map(fn (string $name): array => [$name], Whole::LAYOUTS));
    }

    private function free(Mixtures $mixtures, Recipe $recipe, string $by, float $value): mixed
    {
        try {
            return array_map(function (Mixture $mixture): array {
                $plan = PotPlan::of($mixture, 80.0);
                $lines = $plan->lines();
                $scales = array_filter(array_map(fn (PotLine $line): ?float => $line->scale, $lines), fn (?float $g): bool => $g !== null);
                $first = count($scales) === count($lines) && $lines !== [] ? $scales[0] : null;
                $weighed = array_map(
                    fn (float $share): array => self::weighed(Weighing::of($lines, [], $share * $first, $share * $first)),
                    $first === null || $first > 20_000.0 ? [] : [0.985, 1.15],
                );

                return [
                    $this->mixture($mixture), $this->mixture(PotPlan::of($mixture)->pot()), $plan->count, $plan->limit, $plan->shares,
                    $plan->useWithin(), $plan->isTooQuick(), $lines,
                    $weighed,
                ];
            }, FreePot::of($mixtures, $recipe, $by, $value));
        } catch (InvalidValue $refusal) {
            return $refusal->getMessage();
        }
    }

    /** @return list<mixed> */
    private static function weighed(Weighing $weighing): array
    {
        return [get_object_vars($weighing), $weighing->share(), $weighing->left()];
    }

    /** @return array<string, mixed> */
    private function offer(PotOffer $offer): array
    {
        return [
            'id' => $offer->id,
            'from' => $offer->from,
            'standing' => array_column($offer->standing, 'left'),
            'mixture' => $this->mixture($offer->mixture),
            'plan' => $offer->plan === null ? null : [$offer->plan->count, $offer->plan->limit, $offer->plan->lines()],
        ];
    }

    /** @return array<string, mixed> */
    private function mixture(Mixture $mixture): array
    {
        return [
            ...array_filter(get_object_vars($mixture), fn (mixed $v): bool => ! $v instanceof Recipe),
            'total' => $mixture->total(),
            'volume' => $mixture->volume(),
            'grams' => $mixture->grams(),
        ];
    }
}
