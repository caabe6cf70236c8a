<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Planting\Species;
use IdleRidge\Core\Planting\SpeciesSet;
use IdleRidge\Core\Planting\StandPattern;

/** Species and sets of them as the library has them. */
final class PlantingFile
{
    /**
     * @return array<string, SpeciesSet> id → set
     *
     * @throws InvalidValue naming the place in the file
     */
    public static function sets(string $json): array
    {
        $root = new Record(json_decode($json, false, 16, JSON_THROW_ON_ERROR), '');
        $known = [];
        foreach ($root->record('species')->members() as $id => $one) {
            $known[$id] = GrowthFile::species($one);
        }
        $out = [];
        foreach ($root->record('sets')->members() as $id => $set) {
            $mix = [];
            foreach ($set->record('species')->numbers() as $species => $parts) {
                $s = $known[$species] ?? throw new InvalidValue("There is no species “{$species}”.", $set->at('species'));
                $mix[] = new Species($s->name, $s->form, $s->lowM, $s->highM, $s->crownLowM, $s->crownHighM, $parts);
            }
            $pattern = InvalidValue::unlessOneOf(StandPattern::class, $set->text('pattern'), 'pattern');
            $out[$id] = new SpeciesSet(
                $id,
                $set->text('name'),
                $pattern,
                $mix === [] ? throw new InvalidValue('A set has one species at least.', $set->at('species')) : $mix,
            );
        }

        return $out;
    }
}
