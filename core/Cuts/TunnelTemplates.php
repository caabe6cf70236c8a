<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Format;

/**
 * What a tunnel is lined and faced with, at full size: a portal for each end, both side walls unrolled along their own curve, and the
 * roof as it lies. The opening is what has to pass, with a low arch over it.
 */
final class TunnelTemplates
{
    /** A portal's face around its opening, mm, and the rise of its arch as a share of the opening's width. */
    private const FACE_MM = 14.0;

    private const ARCH = 0.12;

    private const ARCH_PARTS = 16;

    private const STEP_MM = 10.0;

    /** @return list<Template> */
    public static function of(TunnelBore $bore, string $name): array
    {
        return [
            self::portal($bore, $name),
            self::wall($bore, $name, 'left', $bore->left - $bore->thick),
            self::wall($bore, $name, 'right', -($bore->right - $bore->thick)),
            self::roof($bore, $name),
        ];
    }

    /** Seen from outside; two of them, the second turned over where the sides differ. */
    private static function portal(TunnelBore $bore, string $name): Template
    {
        [$left, $right] = [$bore->left - $bore->thick, $bore->right - $bore->thick];
        $high = $bore->rise - $bore->thick;
        $opening = [[-$left, 0.0], [$right, 0.0], [$right, $high]];
        $arch = self::ARCH * ($left + $right);
        for ($k = 1; $k < self::ARCH_PARTS; $k++) {
            $t = $k / self::ARCH_PARTS;
            $opening[] = [$right - $t * ($left + $right), $high + 4.0 * $arch * $t * (1.0 - $t)];
        }
        $opening[] = [-$left, $high];
        $top = $high + $arch + self::FACE_MM;
        [$x1, $x2] = [-$bore->left - self::FACE_MM, $bore->right + self::FACE_MM];

        return new Template(
            'portal',
            sprintf(
                '%s, portal, two of it: %s wide, %s high in the clear',
                $name, Format::cell($left + $right, 1), Format::cell($high, 1),
            ),
            [[[$x1, 0.0], [$x2, 0.0], [$x2, $top], [$x1, $top]], array_reverse($opening)],
            lines: [[[0.0, 0.0], [0.0, $top]]],
            words: [[2.0, $top - 6.0, 'centreline']],
        );
    }

    private static function wall(TunnelBore $bore, string $name, string $side, float $offset): Template
    {
        $long = $bore->run->alignment->lengthBeside($bore->from, $bore->to, $offset);
        $high = $bore->rise - $bore->thick;

        return new Template(
            "lining-{$side}",
            sprintf('%s, lining on the %s: %s', $name, $side, Format::several([$long, $high], 'mm', 1)),
            [[[0.0, 0.0], [$long, 0.0], [$long, $high], [0.0, $high]]],
            words: [[2.0, 2.0, $side]],
        );
    }

    private static function roof(TunnelBore $bore, string $name): Template
    {
        $left = $right = [];
        $parts = max(1, (int) ceil(($bore->to - $bore->from) / self::STEP_MM));
        for ($k = 0; $k <= $parts; $k++) {
            $station = $bore->from + (($bore->to - $bore->from) * $k) / $parts;
            $left[] = $bore->run->alignment->beside($station, $bore->left);
            $right[] = $bore->run->alignment->beside($station, -$bore->right);
        }
        $ring = array_map(fn (Point $p): array => [$p->x, $p->y], [...$right, ...array_reverse($left)]);

        return new Template('lining-roof', "{$name}, roof of the lining, as it lies", [$ring], words: [[...$ring[0], 'roof']]);
    }
}
