<?php

declare(strict_types=1);

namespace App\Actions\Coats;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Recipe as RecipeRow;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Consistency;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MeasureRule;
use IdleRidge\Core\Coats\Mix;
use IdleRidge\Core\Coats\OwnRecipe;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Interchange\Record as Values;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use Illuminate\Support\Str;

/** Makes the figures of a recipe a layout's own, copies recipes under a new name, and goes back to the starting values. */
final readonly class SaveRecipe
{
    /** Milestones, in minutes. */
    private const TIMES = ['workable_until', 'touch_dry', 'next_coat', 'dry_through'];

    /** Field → its unit in the core, decimals that it shows, and how many of it one is. */
    private const NUMBERS = [
        'waste' => ['%', 1, 100.0], 'recovered' => ['%', 1, 100.0], 'reference_mm' => ['mm', 2, 1.0], 'exponent' => ['', 2, 1.0],
        'film_c' => ['°C', 1, 1.0], 'resting_deg' => ['°', 1, 1.0],
    ];

    private const LABOUR = [
        'setup_min' => ['min', 1], 'minutes_per_dm2' => ['min/dm²', 2], 'open_minutes_per_dm2' => ['min/dm²', 2],
        'metres_per_hour' => ['m/h', 2], 'minutes_each' => ['min', 2],
    ];

    public function __construct(private Ledger $ledger, private NewRows $rows, private ProjectLoader $load, private Library $library)
    {
    }

    /**
     * @param  array<string, mixed>  $input parts[k][value], parts[k][of] (“3 sifted soil, 1 grout”), note,
     *     waste, recovered (%), minutes[milestone], window[opens, closes, again],
     *     labour[…], reference_mm, exponent, film_c, resting_deg; `copy` for a new name
     * @return string its id
     */
    public function keep(Layout $layout, string $id, array $input): string
    {
        $own = $this->load->works($layout)->recipes;
        $old = $this->library->with(OwnRecipe::recipes($own))->recipe($id);
        $typed = new FormInput($input);
        $values = $this->values($typed, RecipeFile::write($old));
        $copy = $typed->text('copy');
        if ($copy !== '') {
            $values['name'] = $copy;
            $values['short'] = mb_substr($copy, 0, 40);
            $values['id'] = $this->freeId($copy, $own);
        }
        $note = $typed->has('note') ? $typed->text('note') : null;
        if (mb_strlen((string) $note) > 500) {
            $typed->fault('At most 500 characters.', 'note');
        }
        $values['provenance'] = 'yours';
        $recipe = $typed->made(function () use ($values, $old): Recipe {
            try {
                $new = RecipeFile::recipe(
                    new Values(json_decode(json_encode($values, JSON_THROW_ON_ERROR), false, 32, JSON_THROW_ON_ERROR), ''),
                );

                return $new->but(cure: Consistency::cure($old, $new, $this->library->materials));
            } catch (InvalidValue $refusal) {
                // A file's pointer begins with a slash, a field's place does not.
                throw new InvalidValue($refusal->getMessage(), ltrim($refusal->place, '/'));
            }
        });
        $this->ledger->record($layout, $copy === '' ? "{$recipe->name}: figures changed" : "{$recipe->name} made", function (
            ChangeSet $changes,
        ) use ($layout, $own, $recipe, $note): void {
            foreach ($own as $one) {
                if ($one->recipe->id === $recipe->id) {
                    $changes->save(
                        $layout
                            ->recipes()
                            ->where('uid', $one->uid)
                            ->firstOrFail()
                            ->keep(WorksFile::fromRecipe(new OwnRecipe($one->uid, $recipe, $one->extra, $note ?? $one->note))),
                    );

                    return;
                }
            }
            $new = new OwnRecipe($this->rows->uid(), $recipe, note: $note ?? '');
            $this->rows->add($changes, $layout, RecipeRow::class, WorksFile::fromRecipe($new));
        });

        return $recipe->id;
    }

    /**
     * The same with figures of the core, whatever the layout is read in.
     *
     * @param  array<string, mixed>  $figures as above
     */
    public function learn(Layout $layout, string $id, array $figures): string
    {
        return UnitsInUse::during(Units::Metric, fn (): string => $this->keep($layout, $id, $figures));
    }

    /**
     * Back to the starting values; a recipe that only this layout has goes altogether.
     *
     * @throws InvalidValue when a coat takes it and the library has no such recipe
     */
    public function drop(Layout $layout, string $id): void
    {
        $works = $this->load->works($layout);
        $own =
            array_values(array_filter($works->recipes, fn (OwnRecipe $o): bool => $o->recipe->id === $id))[0] ??
            throw new InvalidValue('It stands at its starting values already.', 'recipe');
        $coat = array_values(array_filter($works->coats, fn (Coat $c): bool => $c->recipe->id === $id))[0] ?? null;
        if ($coat !== null && ! isset($this->library->recipes[$id])) {
            $zone = array_values(array_filter($works->zones, fn ($z): bool => $z->uid === $coat->zone))[0]->name ?? 'a zone';
            throw new InvalidValue("{$own->recipe->name} is a coat on {$zone}. Remove that first, or leave it.", 'recipe');
        }
        $this->ledger->record(
            $layout,
            "{$own->recipe->name}: back to starting values",
            fn (ChangeSet $changes) => $changes->delete($layout->recipes()->where('uid', $own->uid)->firstOrFail()),
        );
    }

    /**
     * @param  array<string, mixed>  $values
     * @return array<string, mixed>
     */
    private function values(FormInput $typed, array $values): array
    {
        $k = 0;
        $part = function (array &$part) use ($typed, &$k): void {
            $now = (float) $part['value'];
            $part['value'] = $typed->amount("parts.{$k}.value", MeasureRule::from($part['rule'])->rate($part['unit']), $now, $now, 4);
            $part['phi'] = $typed->number("parts.{$k}.phi", (float) $part['phi']);
            $part['of'] = $this->mix($typed, $k, $part['of']);
            $k++;
        };
        // Parts of steps are counted through, as the recipe has them.
        foreach (array_keys($values['steps'] ?? []) as $n) {
            array_walk($values['steps'][$n]['parts'], $part);
        }
        foreach (array_keys($values['parts'] ?? []) as $n) {
            $part($values['parts'][$n]);
        }
        foreach (self::NUMBERS as $key => [$unit, $decimals, $times]) {
            if (isset($values[$key]) || $typed->text($key) !== '') {
                $now = $times * (float) ($values[$key] ?? 0.0);
                $new = $typed->amount($key, $unit, $now, $now, $decimals);
                $values[$key] = $new === $now ? $values[$key] ?? $now : $new / $times;
            }
        }
        foreach (self::TIMES as $key) {
            if (isset($values['minutes'][$key])) {
                $now = (float) $values['minutes'][$key];
                $values['minutes'][$key] = $typed->amount("minutes.{$key}", 'min', $now, $now, 1);
            }
        }
        foreach (self::LABOUR as $key => [$unit, $decimals]) {
            if (isset($values['labour'][$key])) {
                $now = (float) $values['labour'][$key];
                $values['labour'][$key] = $typed->amount("labour.{$key}", $unit, $now, $now, $decimals);
            }
        }
        foreach (['opens', 'closes', 'again'] as $key) {
            if (isset($values['window'][$key]) && ! is_string($values['window'][$key])) {
                $now = (float) $values['window'][$key];
                $values['window'][$key] = $typed->amount("window.{$key}", 'min', $now, $now, 0);
            }
        }
        // What is not a number has its own fault; the rest is tried with what stood there.
        array_walk_recursive($values, function (mixed &$value): void {
            $value = is_float($value) && ! is_finite($value) ? 1.0 : $value;
        });

        return $values;
    }

    /**
     * @param  list<array{material: string, parts: float}>  $of as it stands
     * @return list<array{material: string, parts: float}>
     */
    private function mix(FormInput $typed, int $k, array $of): array
    {
        $text = $typed->text("parts.{$k}.of");
        if ($text === '' || $text === Mix::words($of)) {
            return $of;
        }
        try {
            return Mix::read($text, $this->library->materials);
        } catch (InvalidValue $refusal) {
            $typed->fault($refusal->getMessage(), "parts/{$k}/of");

            return $of;
        }
    }

    /** @param  list<OwnRecipe>  $own */
    private function freeId(string $name, array $own): string
    {
        $base = mb_substr(Str::slug($name) ?: 'recipe', 0, 50);
        $taken = [...array_keys($this->library->recipes), ...array_map(fn (OwnRecipe $o): string => $o->recipe->id, $own)];
        $id = $base;
        for ($k = 2; in_array($id, $taken, true); $k++) {
            $id = "{$base}-{$k}";
        }

        return $id;
    }
}
