<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use IdleRidge\Core\Interchange\Svg;

/** The textures of what lies in a core sample, one for each family of coats and one for foam. */
final class StrataPatterns
{
    private const FAMILIES = ['foam', 'plaster', 'paint', 'glue', 'cover', 'ballast', 'fibre', 'growth', 'gloss', 'resin'];

    public static function define(Svg $svg): void
    {
        $tile = fn (): Svg => new Svg(0.0, 0.0, '');
        $svg->pattern(
            'tx-foam',
            33,
            15,
            $tile()
                ->rect('tx-chalk1', 0, 0, 33, 15)
                ->rect('tx-chalk2', 0, 7.5, 33, 7.5)
                ->line('tx-chalkline', 0, 0, 33, 0)
                ->line('tx-chalkline', 0, 7.5, 33, 7.5),
        );
        $svg->pattern(
            'tx-plaster',
            22,
            18,
            $tile()
                ->rect('tx-plaster', 0, 0, 22, 18)
                ->circle('tx-dot', 3, 4, 0.6)
                ->circle('tx-dot', 11, 2, 0.5)
                ->circle('tx-dot', 18, 6, 0.7)
                ->circle('tx-dot', 7, 10, 0.5)
                ->circle('tx-dot', 14, 13, 0.6)
                ->circle('tx-dot', 2, 15, 0.5)
                ->circle('tx-dot', 20, 16, 0.6),
        );
        $svg->pattern(
            'tx-paint',
            26,
            6,
            $tile()->rect('tx-soil', 0, 0, 26, 6)->line('tx-soilline', 2, 1.5, 17, 1.5)->line('tx-soilline', 9, 4.5, 24, 4.5),
        );
        $svg->pattern('tx-glue', 14, 8, $tile()->rect('tx-sheen', 0, 0, 14, 8)->line('tx-sheenline', 0, 4, 14, 4));
        $svg->pattern(
            'tx-cover',
            17,
            14,
            $tile()
                ->rect('tx-soild', 0, 0, 17, 14)
                ->circle('tx-grain', 3, 3, 1)
                ->circle('tx-grain', 10, 5, 0.8)
                ->circle('tx-grain', 15, 11, 1)
                ->circle('tx-grain', 6, 10, 0.8)
                ->circle('tx-grain', 13, 1, 0.6),
        );
        $svg->pattern(
            'tx-ballast',
            20,
            13,
            $tile()
                ->rect('tx-ballast2', 0, 0, 20, 13)
                ->circle('tx-stone', 3, 3, 2.4)
                ->circle('tx-stone', 10, 4, 2.7)
                ->circle('tx-stone', 17, 3, 2.2)
                ->circle('tx-stone', 6, 9.5, 2.5)
                ->circle('tx-stone', 14, 10, 2.6),
        );
        $blades = '';
        foreach ([1, 5, 8, 12, 16, 19] as $k => $x) {
            $blades .= 'M'.$x.' 26L'.($x + ($k % 2 === 0 ? 2 : -1)).' 1';
        }
        $svg->pattern('tx-fibre', 21, 26, $tile()->rect('tx-grass', 0, 0, 21, 26)->path('tx-blade', $blades));
        $svg->pattern(
            'tx-growth',
            24,
            20,
            $tile()
                ->rect('tx-grass', 0, 0, 24, 20)
                ->circle('tx-blob', 6, 6, 4.5)
                ->circle('tx-blob', 17, 8, 5)
                ->circle('tx-blob', 10, 15, 4)
                ->circle('tx-blob', 22, 17, 3),
        );
        $svg->pattern('tx-gloss', 22, 9, $tile()->rect('tx-water', 0, 0, 22, 9)->path('tx-wave', 'M0 5c3-3 6-3 9 0s6 3 13-1'));
        $svg->pattern('tx-resin', 22, 14, $tile()->rect('tx-water', 0, 0, 22, 14)->path('tx-wave', 'M0 8c3-3 6-3 9 0s6 3 13-1'));
    }

    public static function fill(string $family): string
    {
        return 'url(#tx-'.(in_array($family, self::FAMILIES, true) ? $family : 'plaster').')';
    }
}
