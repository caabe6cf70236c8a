<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Planting\GrassMix;

/** Mixes of fibre by season and place as the library has them. */
final readonly class GrassFile
{
    /**
     * @param  array<string, string>  $colours name → #rrggbb
     * @param  array<string, array<string, GrassMix>>  $mixes season → open, bank or shade → mix
     */
    private function __construct(public array $colours, public array $mixes)
    {
    }

    /** @throws InvalidValue naming the place in the file */
    public static function read(string $json): self
    {
        $root = new Record(json_decode($json, false, 16, JSON_THROW_ON_ERROR), '');
        $colours = $root->texts('colours');
        $mixes = [];
        foreach ($root->record('seasons')->members() as $season => $places) {
            foreach (['open', 'bank', 'shade'] as $place) {
                $r = $places->record($place);
                $parts = $r->numbers();
                foreach (array_diff_key($parts, $colours) as $colour => $n) {
                    throw new InvalidValue("There is no colour “{$colour}”.", $r->pointer);
                }
                $mixes[$season][$place] = new GrassMix($parts === [] ? throw new InvalidValue('A mix of nothing.', $r->pointer) : $parts);
            }
        }

        return new self($colours, $mixes);
    }

    /** The season that a layout tells of in its words; summer where it tells of none. */
    public function season(string $words): string
    {
        $words = mb_strtolower($words);
        foreach (array_keys($this->mixes) as $season) {
            if (str_contains($words, $season)) {
                return $season;
            }
        }

        return match (true) {
            str_contains($words, 'autumn') => 'early autumn',
            str_contains($words, 'dry') => 'drought',
            default => 'summer',
        };
    }
}
