<?php

declare(strict_types=1);

namespace App\Actions\Growth;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\Growth\ComputedGrowth;
use App\Computed\Library\SpeciesSets;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Stand as StandRow;
use IdleRidge\Core\Interchange\GrowthFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use IdleRidge\Core\Planting\PlantingRule;
use IdleRidge\Core\Planting\Socket;
use IdleRidge\Core\Planting\Species;
use IdleRidge\Core\Planting\SpeciesSet;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\StandPattern;
use IdleRidge\Core\Planting\TreeForm;

/** Stands: begun from a set of species, changed, planted anew, put away. What cannot be planted leaves the old planting. */
final readonly class SaveStand
{
    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private ComputedGrowth $growth,
        private SpeciesSets $sets,
    ) {
    }

    /** @param  array<string, mixed>  $input set, zone (uid, or none for the board), name, by_hand */
    public function add(Layout $layout, string $section, array $input): Stand
    {
        $typed = new FormInput($input);
        $project = $this->load->of($layout);
        $set = $this->sets->all()[$typed->text('set')] ?? throw new InvalidValue('Choose what grows there.', 'set');
        $pattern = $typed->text('by_hand') === '1' ? StandPattern::ByHand : $set->pattern;
        $stand = $typed->made(fn (): Stand => new Stand(
            $this->rows->uid(),
            $section,
            Words::plain($typed->text('name')) ?: $set->name,
            $typed->text('zone') ?: null,
            $set->mix,
            new PlantingRule($pattern, $set->spacing(), seed: count($project->works->growth->stands) % (PlantingRule::MAX_SEED + 1)),
        ));
        $stand = $this->growth->planted($project, $stand);
        $this->ledger->record(
            $layout,
            "{$stand->name} planted: ".count($stand->trees).' trees',
            fn (ChangeSet $changes) => $this->rows->add($changes, $layout, StandRow::class, GrowthFile::fromStand($stand)),
        );

        return $stand;
    }

    /**
     * @param  array<string, mixed>  $input name, zone, pattern, spacing, tall_behind (%), dead (%), steepest_deg, clear_mm, bore, depth,
     *     species[] (name, form, low, high, crown_low, crown_high in metres outdoors, parts); plant = anew for another seed, same for the
     *     same one, empty to leave the trees as they stand
     */
    public function change(Layout $layout, StandRow $row, array $input): Stand
    {
        $project = $this->load->of($layout);
        $old = $project->works->growth->stand($row->uid) ?? throw new InvalidValue('The stand is gone.', 'name');
        $typed = new FormInput($input);
        $plant = $typed->text('plant');
        $stand = $typed->made(fn (): Stand => $old->but(
            name: Words::plain($typed->text('name', $old->name)),
            zone: $typed->has('zone') ? ($typed->text('zone') ?: null) : $old->zone,
            mix: $typed->has('species') ? $this->mix($typed, $old) : $old->mix,
            rule: $this->rule($typed, $old->rule, $plant === 'anew'),
            socket: $this->socket($typed, $old->socket),
        ));
        $stand = $plant === '' ? $stand : $this->growth->planted($project, $stand);
        $this->ledger->record(
            $layout,
            $plant === '' ? "{$stand->name} changed" : "{$stand->name} planted anew: ".count($stand->trees).' trees',
            fn (ChangeSet $changes) => $changes->save($row->keep(GrowthFile::fromStand($stand))),
        );

        return $stand;
    }

    public function putAway(Layout $layout, StandRow $row): void
    {
        $name = $this->load->of($layout)->works->growth->stand($row->uid)->name ?? 'A stand';
        $this->ledger->record($layout, "{$name} put away", fn (ChangeSet $changes) => $changes->delete($row));
    }

    private function rule(FormInput $typed, PlantingRule $old, bool $anew): PlantingRule
    {
        $pattern = $typed->has('pattern')
            ? InvalidValue::unlessOneOf(StandPattern::class, $typed->text('pattern'), 'pattern')
            : $old->pattern;

        return new PlantingRule(
            $pattern,
            $typed->number('spacing', $old->spacing),
            $typed->number('tall_behind', 100.0 * $old->tallBehind) / 100.0,
            $typed->number('dead', 100.0 * $old->dead) / 100.0,
            $typed->number('steepest_deg', $old->steepestDeg),
            $typed->length('clear_mm', $old->clear, $old->clear),
            $anew ? ($old->seed + 1) % (PlantingRule::MAX_SEED + 1) : $old->seed,
        );
    }

    private function socket(FormInput $typed, ?Socket $old): ?Socket
    {
        if (! $typed->has('bore')) {
            return $old;
        }

        return $typed->text('bore') === ''
            ? null
            : new Socket($typed->length('bore', current: $old?->bore), $typed->length('depth', 18.0, $old?->depth));
    }

    /**
     * Rows without a name are left out; trees keep the number of their species, so that the last of a mix may go only if none is of it.
     *
     * @return list<Species>
     */
    private function mix(FormInput $typed, Stand $old): array
    {
        $out = [];
        foreach (array_keys($typed->list('species')) as $k) {
            $field = fn (string $part): string => "species.{$k}.{$part}";
            $was = $old->mix[$k] ?? null;
            if ($typed->text($field('name')) === '') {
                continue;
            }
            try {
                $out[] = new Species(
                    Words::plain($typed->text($field('name'))),
                    InvalidValue::unlessOneOf(TreeForm::class, $typed->text($field('form'), 'round'), 'form'),
                    $typed->amount($field('low'), 'm', 0.0, $was?->lowM),
                    $typed->amount($field('high'), 'm', 0.0, $was?->highM),
                    $typed->amount($field('crown_low'), 'm', current: $was?->crownLowM),
                    $typed->amount($field('crown_high'), 'm', current: $was?->crownHighM),
                    $typed->number($field('parts'), 1.0),
                );
            } catch (InvalidValue $refusal) {
                throw $refusal->within("species/{$k}");
            }
        }
        $used = $old->trees === [] ? -1 : max(array_map(fn ($tree): int => $tree->species, $old->trees));

        return count($out) > $used ? $out : throw new InvalidValue('Trees of a species stand that is no longer in the mix.', 'species');
    }

    /** @return array<string, SpeciesSet> */
    public function sets(): array
    {
        return $this->sets->all();
    }
}
