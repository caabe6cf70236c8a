<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

/** The two paints of a bed, and how they are mixed from its rim to its middle. */
final readonly class BedColours
{
    /**
     * @param  array{name: string, hex: string}  $dark
     * @param  array{name: string, hex: string}  $light
     */
    public function __construct(public array $dark, public array $light)
    {
    }

    /**
     * The share of the dark paint in a band, counted from the rim.
     *
     * @param  int  $band 0 … count − 1
     */
    public function darkShare(int $band, int $count, bool $darkRim): float
    {
        $way = $count === 1 ? 0.5 : $band / ($count - 1);

        return $darkRim ? 1.0 - $way : $way;
    }

    /** The mix as parts of both, the smallest whole ones: 0.5 is one to one. */
    public function parts(int $band, int $count, bool $darkRim): string
    {
        $of = max(1, $count - 1);
        $dark = $count === 1 ? 1 : (int) round($of * $this->darkShare($band, $count, $darkRim));
        $light = $count === 1 ? 1 : $of - $dark;
        for ($d = max($dark, $light); $d > 1; $d--) {
            if ($dark % $d === 0 && $light % $d === 0) {
                [$dark, $light] = [intdiv($dark, $d), intdiv($light, $d)];
            }
        }

        return match (true) {
            $light === 0 => $this->dark['name'],
            $dark === 0 => $this->light['name'],
            default => "{$dark} {$this->dark['name']} : {$light} {$this->light['name']}",
        };
    }

    /** The colour of such a mix, #rrggbb: its channels mixed in proportion, a hint and no recipe for pigment. */
    public function hex(float $darkShare): string
    {
        $mix = '#';
        foreach ([1, 3, 5] as $at) {
            $two = [hexdec(substr($this->dark['hex'], $at, 2)), hexdec(substr($this->light['hex'], $at, 2))];
            $mix .= sprintf('%02x', (int) round($darkShare * $two[0] + (1.0 - $darkShare) * $two[1]));
        }

        return $mix;
    }
}
