<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use DOMElement;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\Arc;
use IdleRidge\Core\Track\Run;

/**
 * Track as paths of an SVG drawing at 1:1: millimetres where the drawing says how large it is, else one unit is one. Drawings
 * have y downward; the board's front edge is their lower edge.
 */
final class TrackSvg
{
    private const MM = ['mm' => 1.0, 'cm' => 10.0, 'in' => 25.4, 'pt' => 25.4 / 72.0, 'px' => 25.4 / 96.0, '' => 25.4 / 96.0];

    /**
     * @return list<TrackLine>
     *
     * @throws InvalidValue
     */
    public static function read(string $text): array
    {
        $root = XmlText::document($text, 'SVG drawing')->documentElement;
        if ($root === null || $root->localName !== 'svg') {
            throw new InvalidValue('This is no SVG drawing.', 'line 1');
        }
        [$scale, $left, $bottom] = self::frame($root);
        $lines = [];
        foreach (['path', 'polyline'] as $kind) {
            foreach ($root->getElementsByTagName($kind) as $node) {
                try {
                    $parts = SvgPath::points($kind === 'path' ? $node->getAttribute('d') : 'M '.$node->getAttribute('points'));
                } catch (InvalidValue $refusal) {
                    throw new InvalidValue($refusal->getMessage(), 'line '.$node->getLineNo());
                }
                $turn = self::transform($node);
                foreach ($parts as $points) {
                    $at = array_map(
                        fn (array $p): array => [
                            ($turn[0] * $p[0] + $turn[2] * $p[1] + $turn[4] - $left) * $scale,
                            ($bottom - $turn[1] * $p[0] - $turn[3] * $p[1] - $turn[5]) * $scale,
                        ],
                        $points,
                    );
                    $lines[] = new TrackLine($node->getAttribute('id') ?: 'Track', $at);
                }
            }
        }

        return TrackLine::some($lines, 'path');
    }

    /** @param  list<Run>  $runs in section coordinates */
    public static function write(array $runs, float $width, float $depth): string
    {
        $say = fn (float $v): string => Decimal::trimmed($v, 4);
        $paths = '';
        foreach ($runs as $run) {
            $at = fn (float $station): string => $say($run->alignment->pointAt($station)->x).
                ' '.
                $say($depth - $run->alignment->pointAt($station)->y);
            $d = 'M '.$at(0.0);
            foreach ($run->alignment->elements as $k => $element) {
                $begin = $run->alignment->begins[$k];
                // Arcs over half a circle go in two.
                $parts =
                    $element instanceof Arc
                        ? (int) ceil($element->length / $element->radius / 3.0)
                        : ($element->sharpest() > 0.0
                            ? max(4, (int) ceil($element->length / 5.0))
                            : 1);
                for ($n = 1; $n <= $parts; $n++) {
                    $d .=
                        ($element instanceof Arc
                            ? sprintf(' A %1$s %1$s 0 0 %2$d ', $say($element->radius), $element->turn > 0 ? 0 : 1)
                            : ' L ').$at($begin + ($element->length * $n) / $parts);
                }
            }
            $paths .= sprintf(
                "  <path id=\"%s\" d=\"%s\" fill=\"none\" stroke=\"black\" stroke-width=\"1\"/>\n",
                htmlspecialchars($run->name, ENT_XML1 | ENT_QUOTES),
                $d,
            );
        }

        return sprintf(
            "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" "
                ."width=\"%1\$smm\" height=\"%2\$smm\" viewBox=\"0 0 %1\$s %2\$s\">\n%3\$s</svg>\n",
            $say($width),
            $say($depth),
            $paths,
        );
    }

    /** @return array{float, float, float} mm for a unit, left and lower edge in units */
    private static function frame(DOMElement $root): array
    {
        $box = array_map(floatval(...), preg_split('/[\s,]+/', trim($root->getAttribute('viewBox'))) ?: []);
        $size = function (string $of) use ($root): ?float {
            return preg_match('/^\s*([\d.]+)\s*(mm|cm|in|pt|px|)\s*$/', $root->getAttribute($of), $m) === 1
                ? (float) $m[1] * self::MM[$m[2]]
                : null;
        };
        if (count($box) === 4 && $box[2] > 0.0 && $box[3] > 0.0) {
            return [($size('width') ?? $box[2]) / $box[2], $box[0], $box[1] + $box[3]];
        }
        $height = $size('height');

        return $height === null ? [1.0, 0.0, 0.0] : [self::MM[''], 0.0, $height / self::MM['']];
    }

    /** @return array{float, float, float, float, float, float} the matrix from a node's units to the drawing's */
    private static function transform(DOMElement $node): array
    {
        $all = [1.0, 0.0, 0.0, 1.0, 0.0, 0.0];
        for ($at = $node; $at instanceof DOMElement; $at = $at->parentNode) {
            preg_match_all('/(matrix|translate|scale|rotate)\s*\(([^)]*)\)/', $at->getAttribute('transform'), $found, PREG_SET_ORDER);
            foreach (array_reverse($found) as [, $kind, $values]) {
                $v = array_map(floatval(...), preg_split('/[\s,]+/', trim($values)) ?: []);
                $all = self::times(
                    match ($kind) {
                        'translate' => [1.0, 0.0, 0.0, 1.0, $v[0], $v[1] ?? 0.0],
                        'scale' => [$v[0], 0.0, 0.0, $v[1] ?? $v[0], 0.0, 0.0],
                        'rotate' => self::about(deg2rad($v[0]), $v[1] ?? 0.0, $v[2] ?? 0.0),
                        default => count($v) === 6 ? $v : throw new InvalidValue('A matrix has six numbers.', 'line '.$at->getLineNo()),
                    },
                    $all,
                );
            }
        }

        return $all;
    }

    /** @return array{float, float, float, float, float, float} */
    private static function about(float $angle, float $x, float $y): array
    {
        [$c, $s] = [cos($angle), sin($angle)];

        return [$c, $s, -$s, $c, $x - $c * $x + $s * $y, $y - $s * $x - $c * $y];
    }

    /**
     * @param  array{float, float, float, float, float, float}  $a
     * @param  array{float, float, float, float, float, float}  $b
     * @return array{float, float, float, float, float, float} first b, then a
     */
    private static function times(array $a, array $b): array
    {
        return [
            $a[0] * $b[0] + $a[2] * $b[1],
            $a[1] * $b[0] + $a[3] * $b[1],
            $a[0] * $b[2] + $a[2] * $b[3],
            $a[1] * $b[2] + $a[3] * $b[3],
            $a[0] * $b[4] + $a[2] * $b[5] + $a[4],
            $a[1] * $b[4] + $a[3] * $b[5] + $a[5],
        ];
    }
}
