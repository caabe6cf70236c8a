<?php

declare(strict_types=1);

namespace App\Pages\Pots;

use App\Computed\Library\LibraryFiles;
use App\Computed\Plan\ComputedPlan;
use App\Computed\Plan\ComputedPots;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\TrustedLogger;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Coats\Colour;
use IdleRidge\Core\Coats\Ingredient;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Pots\Alcohol;
use IdleRidge\Core\Pots\ColourFamily;
use IdleRidge\Core\Pots\PotKind;
use IdleRidge\Core\Pots\PotLimit;
use IdleRidge\Core\Pots\PotLine;
use IdleRidge\Core\Pots\PotOffer;
use IdleRidge\Core\Pots\PotPlan;
use IdleRidge\Core\Pots\Spoons;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\Pot;
use IdleRidge\Core\Shelf\Store;

/** What is mixed and weighed for the session, for a move, or freely: one pot large, the others beside it, and what stands. */
final readonly class ShowPots
{
    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ComputedPots $pots,
        private ShowRail $rail,
    ) {
    }

    /**
     * @param  array<string, string>  $query pot (which one is large), cup (ml), move, or recipe with by, value, material
     * @return array<string, mixed> for the view pots.show
     */
    public function of(Layout $layout, array $query): array
    {
        $project = $this->load->of($layout);
        $plan = $this->desk->planOf($project, $this->desk->minute());
        $words = new ClockWords($plan->work->zone(), $plan->work->now);
        $cups = $project->layout->bench->shelf->cups;
        [$cup, $fault] = $this->cup($query['cup'] ?? '', $plan->work->rules()->shelf->cup());
        $asked = $this->pots->read($query);
        [$offers, $refused] = $this->offers($plan, $asked, $cup);
        $cupped = array_values(array_filter($offers, fn (PotOffer $o): bool => $o->mixture->kind !== PotKind::AsSold));
        $picked = $this->picked($cupped, $query['pot'] ?? '');
        $session = $plan->session();

        return [
            'layout' => $layout,
            'project' => $project,
            'first' => $project->sections[0] ?? null,
            'rail' => $this->rail->of($project, null, $plan->work),
            'words' => $words,
            'query' => array_filter(array_intersect_key($query, array_flip(['cup', 'move', 'recipe', 'by', 'value', 'material', 'mix']))),
            'asked' => $asked,
            'faults' => array_filter(['cup' => $fault] + $refused),
            'session' => $session === null ? '' : $words->at($session[0])->format('l j F'),
            'tonight' => $session !== null && $words->isToday($session[0]),
            'for' => $this->for($plan, $asked),
            'rows' => array_map(fn (PotOffer $o): array => $this->row($plan, $o, $words, $o === $picked), $cupped),
            'sold' => array_map(
                fn (PotOffer $o): array => [...MaterialAmount::shown($o->mixture->total(), $o->mixture->unit()), $o->mixture->title],
                array_values(array_filter($offers, fn (PotOffer $o): bool => $o->mixture->kind === PotKind::AsSold)),
            ),
            'picked' => $picked,
            'pot' => $picked?->plan === null ? null : $this->pot($plan, $picked, $picked->plan, $cup, $words),
            'standing' => $this->standing($plan, $words),
            'cup' => $cup,
            'cups' => $cups,
            'scale' => TrustedLogger::scale($layout),
            'recipes' => $this->recipes($plan),
            'toMix' => ComputedPots::count($offers),
        ];
    }

    /**
     * All pots of what was asked for, to print: one card each.
     *
     * @param  array<string, string>  $query as above
     * @return array<string, mixed> for the view pots.cards
     */
    public function cards(Layout $layout, array $query): array
    {
        $plan = $this->desk->plan($layout);
        $words = new ClockWords($plan->work->zone(), $plan->work->now);
        [$cup] = $this->cup($query['cup'] ?? '', $plan->work->rules()->shelf->cup());
        $cards = [];
        foreach ($this->offers($plan, $this->pots->read($query), $cup)[0] as $offer) {
            if ($offer->plan !== null && $offer->mixture->kind !== PotKind::AsSold) {
                $cards[] = ['offer' => $offer, 'pot' => $this->pot($plan, $offer, $offer->plan, $cup, $words)];
            }
        }

        return ['layout' => $layout, 'cards' => $cards, 'first' => $plan->work->project->sections[0] ?? null, 'words' => $words];
    }

    /** @return array{float|null, string} ml, and what is wrong with what was typed */
    private function cup(string $typed, ?float $usual): array
    {
        if (trim($typed) === '') {
            return [$usual, ''];
        }
        try {
            $value = Amount::parse($typed, 'ml', 'cup');

            return [InvalidValue::unlessBetween($value, PotPlan::MIN_CUP_ML, PotPlan::MAX_CUP_ML, 'The cup', 'ml', 'cup'), ''];
        } catch (InvalidValue $refusal) {
            return [$usual, $refusal->getMessage()];
        }
    }

    /**
     * @param  array{move: string, recipe: string, by: string, value: float|null, material: string, mix: string}  $asked
     * @return array{list<PotOffer>, array<string, string>}
     */
    private function offers(BenchPlan $plan, array $asked, ?float $cup): array
    {
        try {
            return [$this->pots->asked($plan, $asked, $cup), []];
        } catch (InvalidValue $refusal) {
            return [[], [$refusal->place => $refusal->getMessage()]];
        }
    }

    /** @param  list<PotOffer>  $offers */
    private function picked(array $offers, string $id): ?PotOffer
    {
        foreach ($offers as $offer) {
            if ($offer->id === $id) {
                return $offer;
            }
        }

        return array_values(array_filter($offers, fn (PotOffer $o): bool => $o->plan !== null))[0] ?? $offers[0] ?? null;
    }

    /** @param  array{move: string, recipe: string, by: string, value: float|null, material: string, mix: string}  $asked */
    private function for(BenchPlan $plan, array $asked): string
    {
        $move = $plan->work->moves[$asked['move']] ?? null;

        return match (true) {
            $asked['mix'] !== '' => 'A dry mix by weight',
            $asked['recipe'] !== '' => $this->pots->recipes($plan)[$asked['recipe']]->name ?? '',
            $move !== null => "{$move->title()}, {$move->place()}",
            default => '',
        };
    }

    /** @return array<string, mixed> */
    private function row(BenchPlan $plan, PotOffer $offer, ClockWords $words, bool $picked): array
    {
        $of = $offer->plan?->pot() ?? $offer->mixture;
        $size = $of->grams();

        return [
            'id' => $offer->id,
            'title' => $offer->mixture->title,
            'action' => $offer->mixture->action,
            'when' => $offer->from === null ? '' : $words->clock($offer->from),
            'size' => $size === null ? MaterialAmount::shown($of->total(), $of->unit()) : explode(' ', CupDrawing::grams($size)),
            'count' => $offer->plan->count ?? 0,
            'places' => $this->places($plan, $offer),
            'picked' => $picked,
        ];
    }

    /** @return list<string> */
    private function places(BenchPlan $plan, PotOffer $offer): array
    {
        $moves = array_filter(array_map(fn (string $id): ?Move => $plan->work->moves[$id] ?? null, $offer->mixture->moves));
        $current = $plan->work->current();
        $now = $current !== null && in_array("{$current->coat}.{$current->pass}", $offer->mixture->moves, true) ? [$current->title] : [];

        return array_values(array_unique([...$now, ...array_map(fn (Move $m): string => $m->place(), $moves)]));
    }

    /** @return array<string, mixed> */
    private function pot(BenchPlan $plan, PotOffer $offer, PotPlan $pots, ?float $cup, ClockWords $words): array
    {
        $pot = $pots->pot();
        $store = $plan->work->project->works->store;
        $within = $pots->useWithin();
        $keeps = $pot->kind->keepsDays();
        $volume = $pot->volume();

        return [
            'plan' => $pots,
            'done' => $pot->kind === PotKind::Dry && count($pot->portions) === 1 ? 'Weighed' : 'Mixed',
            'drawing' => CupDrawing::of($pots, $cup),
            'lines' => array_map(fn (PotLine $l): array => $this->line($plan, $store, $pots, $l), $pots->lines()),
            'limit' => self::limit($pots, $cup),
            'within' => $within === null ? null : (int) floor($within),
            'keeps' => $within === null && $keeps !== null ? $words->at($plan->work->now + 1440 * $keeps)->format('j M') : '',
            'quick' => $pots->isTooQuick(),
            'yield' => $volume === null ? '' : implode(' ', MaterialAmount::shown($volume, 'ml')),
            'alcohol' => Alcohol::massShare($pot->portions),
            'colour' => $this->colour($plan, $pot->colour),
            'places' => $this->places($plan, $offer),
        ];
    }

    /** @return array<string, mixed> */
    private function line(BenchPlan $plan, Store $store, PotPlan $pots, PotLine $line): array
    {
        $portion = $line->portion;
        [$ml, $unit] = $portion->ml() === null ? ['', ''] : MaterialAmount::shown((float) $portion->ml(), 'ml');
        $parts = $line->parts === null ? '' : Decimal::trimmed($line->parts, 1).($line->parts < 1.05 ? ' part' : ' parts');
        $spoons = Spoons::words($portion->ml());
        $spoons = $spoons === null || $spoons === 'drops' ? (string) $spoons : "{$spoons} spoon";
        $colour = $this->colourOf($plan, $pots->mixture->colour);
        $paint = $colour !== null && str_ends_with($portion->material, 'paint');

        return [
            'material' => $portion->material,
            'scale' => $line->scale === null ? null : explode(' ', CupDrawing::grams($line->scale)),
            'add' => $portion->grams() === null
                ? MaterialAmount::shown($portion->amount, $portion->unit)
                : explode(' ', CupDrawing::grams($portion->grams())),
            'words' => implode(' · ', array_filter([$parts, trim("{$ml} {$unit}"), $spoons])),
            'lots' => $this->lots($store, $portion->material),
            'bases' => $paint ? ColourFamily::bases($colour, $portion->amount) : [],
        ];
    }

    /** @return array<string, string> lot → its words, the one that is taken first */
    private function lots(Store $store, string $material): array
    {
        $lots = $store->lotsOf($material);

        return array_column(array_map(fn (MaterialLot $l): array => [$l->uid, self::lotWords($l, $store->amount($l->uid))], $lots), 1, 0);
    }

    private static function lotWords(MaterialLot $lot, float $left): string
    {
        $what = array_filter([
            $lot->recovered ? 'taken up again' : '',
            $lot->mark,
            $lot->boughtOn === null ? '' : "of {$lot->boughtOn}",
        ]);
        [$figure, $unit] = MaterialAmount::shown($left, $lot->unit);

        return "{$figure} {$unit} left".($what === [] ? '' : ', '.implode(', ', $what));
    }

    private static function limit(PotPlan $pots, ?float $cup): string
    {
        $most = (float) ($pots->pot()->grams() ?? $pots->pot()->total());
        $minutes = Decimal::trimmed(floor((float) $pots->mixture->workable), 0);
        $stir = Decimal::trimmed($pots->mixture->kind->mixingMinutes(), 0);

        return match ($pots->limit) {
            PotLimit::Need => 'The need sets its size: all of it goes into one.',
            PotLimit::Container => 'The cup sets its size: '.Format::text((float) $cup, 'ml').', filled to four fifths.',
            PotLimit::Workable => "Workable time sets its size: {$minutes} min in this room, {$stir} of them for stirring.",
            PotLimit::PotLife => 'Pot life sets its size: '.CupDrawing::grams($most)
                .' heat themselves and can be poured for '.Decimal::trimmed(floor((float) $pots->useWithin()), 0).' min.',
        };
    }

    /** @return array{colour: Colour, wet: string, dry: string, family: ColourFamily, told: string}|null */
    private function colour(BenchPlan $plan, ?string $uid): ?array
    {
        $colour = $this->colourOf($plan, $uid);
        if ($colour === null) {
            return null;
        }
        $wet = $colour->wet(LibraryFiles::basePaints());
        $family = ColourFamily::of($plan->work, $colour);
        $ml = fn (float $amount): string => Format::text($amount, 'ml', $amount < 10.0 ? 1 : 0);

        return [
            'colour' => $colour,
            'wet' => $wet->toHex(),
            'dry' => $wet->dry()->toHex(),
            'family' => $family,
            'told' => implode(', ', [
                "Mix {$ml($family->whole())} in one go and keep it as one family: {$ml($family->own)} for itself",
                ...array_map(
                    fn (array $s): string => "{$ml($s['from'])} with {$ml($s['add'])} ".
                        ($s['colour']->tied['base'] ?? '')." for {$s['colour']->name}",
                    $family->shades,
                ),
            ]).'.',
        ];
    }

    private function colourOf(BenchPlan $plan, ?string $uid): ?Colour
    {
        return array_column($plan->work->project->works->colours, null, 'uid')[$uid ?? ''] ?? null;
    }

    /** @return list<array<string, mixed>> pots of which something is left */
    private function standing(BenchPlan $plan, ClockWords $words): array
    {
        $store = $plan->work->project->works->store;
        $pots = array_filter($store->pots(), fn (Pot $p): bool => $store->amount($p->uid) > 0.0);

        return array_values(array_map(fn (Pot $p): array => [
            'uid' => $p->uid,
            'title' => $p->title,
            'left' => implode(' ', MaterialAmount::shown($store->amount($p->uid), $p->unit)),
            'made' => implode(' ', MaterialAmount::shown($p->made, $p->unit)),
            'mixed' => $words->moment($p->mixedAt),
            'until' => $p->workableUntil,
            'clock' => $p->workableUntil === null ? '' : $words->moment($p->workableUntil),
            'left_words' => match (true) {
                $p->workableUntil === null => '',
                $p->isOver($plan->work->now) => 'over',
                default => ClockWords::span($p->workableUntil - $plan->work->now),
            },
            'keeps' => match (true) {
                $p->keepsUntil === null => 'It keeps.',
                $p->isOver($plan->work->now) => "It kept until {$words->at($p->keepsUntil)->format('j M')}.",
                default => "Closed it keeps until {$words->at($p->keepsUntil)->format('j M')}.",
            },
            'over' => $p->isOver($plan->work->now),
            'stirred' => $p->stirred === [] ? '' : $words->clock((int) max($p->stirred)),
        ], $pots));
    }

    /** @return array<string, string> recipes that take something mixed or weighed, by name */
    private function recipes(BenchPlan $plan): array
    {
        $measured = fn (Ingredient $p): bool => in_array($p->unit, ['g', 'ml'], true) && $p->value > 0.0;
        $recipes = array_filter(
            $this->pots->recipes($plan),
            fn (Recipe $r): bool => array_filter($r->parts, $measured) !== [],
        );
        $names = array_map(fn (Recipe $r): string => $r->name, $recipes);
        asort($names);

        return $names;
    }
}
