<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\Arc;
use IdleRidge\Core\Track\Run;

/**
 * Track as polylines of a DXF file: POLYLINE and LWPOLYLINE in, R12 POLYLINE out, each run on a layer of its name. A bulge is
 * the tangent of a quarter of an arc's angle, positive to the left. Files that name their unit are brought to mm.
 */
final class TrackDxf
{
    /** $INSUNITS → mm */
    private const UNITS = [1 => 25.4, 2 => 304.8, 4 => 1.0, 5 => 10.0, 6 => 1000.0];

    /** Arcs become points so that they are missed by no more than this, mm. */
    private const SAGITTA = 0.02;

    /**
     * @return list<TrackLine>
     *
     * @throws InvalidValue naming the line that cannot be read
     */
    public static function read(string $text): array
    {
        $pairs = self::pairs($text);
        $scale = 1.0;
        $lines = [];
        $now = null;
        $fresh = false;
        $variable = '';
        foreach ($pairs as [$code, $value, $line]) {
            if ($code === 0) {
                $variable = '';
                if ($value === 'VERTEX' && $now !== null) {
                    $now->begin();

                    continue;
                }
                $lines[] = $now;
                $now = $value === 'POLYLINE' || $value === 'LWPOLYLINE' ? new DxfLine($value === 'LWPOLYLINE') : null;
                $fresh = true;

                continue;
            }
            $variable = $code === 9 ? $value : $variable;
            if ($variable === '$INSUNITS' && $code === 70) {
                $scale = self::UNITS[(int) $value] ?? 1.0;
            }
            if ($now !== null) {
                if ($code === 8 && $now->layer === '') {
                    $now->layer = $value;
                } elseif ($code === 70 && $fresh) {
                    $now->closed = ((int) $value & 1) === 1;
                    $fresh = false;
                } elseif (in_array($code, [10, 20, 30, 38, 42], true)) {
                    $now->take(
                        $code,
                        is_numeric($value) && abs((float) $value) < 1e7
                            ? (float) $value
                            : throw new InvalidValue("“{$value}” is not a number.", "line {$line}"),
                    );
                }
            }
        }
        $found = [];
        foreach ([...$lines, $now] as $one) {
            $line = $one === null ? null : self::line($one, $scale);
            $found = $line === null ? $found : [...$found, $line];
        }

        return TrackLine::some($found, 'polyline');
    }

    /** @param  list<Run>  $runs */
    public static function write(array $runs): string
    {
        $drawing = new DxfDrawing();
        foreach ($runs as $run) {
            $drawing->polyline($run->name, self::vertices($run), false);
        }

        return (string) $drawing;
    }

    /** @return list<array{float, float, float, float}> x, y, formation, bulge to the next */
    private static function vertices(Run $run): array
    {
        $out = [];
        $vertex = function (float $station, float $bulge) use ($run): array {
            $p = $run->alignment->pointAt($station);

            return [$p->x, $p->y, $run->grade->heightAt($station), $bulge];
        };
        foreach ($run->alignment->elements as $k => $element) {
            // So short that heights between vertices are straight, and a transition is drawn true.
            $parts = max(1, (int) ceil($element->length / 25.0));
            for ($n = 0; $n < $parts; $n++) {
                $out[] = $vertex(
                    $run->alignment->begins[$k] + ($element->length * $n) / $parts,
                    $element instanceof Arc ? tan(($element->turn * $element->length) / $element->radius / $parts / 4.0) : 0.0,
                );
            }
        }

        return [...$out, $vertex($run->alignment->length, 0.0)];
    }

    /** @return list<array{int, string, int}> code, value, line */
    private static function pairs(string $text): array
    {
        $rows = preg_split('/\R/', rtrim($text)) ?: [];
        $out = [];
        for ($k = 0; $k < count($rows); $k += 2) {
            $code = trim($rows[$k]);
            if (! preg_match('/^-?\d{1,4}$/', $code)) {
                throw new InvalidValue(
                    'This is no DXF file: “'.mb_substr($code, 0, 30).'” stands where a group code should.',
                    'line '.($k + 1),
                );
            }
            $out[] = [(int) $code, trim($rows[$k + 1] ?? ''), $k + 2];
        }

        return $out;
    }

    private static function line(DxfLine $read, float $scale): ?TrackLine
    {
        $vertices = $read->vertices($scale);
        $points = $heights = [];
        foreach ($vertices as $k => [$x, $y, $z, $bulge]) {
            $points[] = [$x, $y];
            $heights[] = $z;
            $next = $vertices[$k + 1] ?? null;
            if ($next !== null) {
                $between =
                    abs($bulge) > 1e-9
                        ? self::arc([$x, $y], [$next[0], $next[1]], $bulge)
                        : array_slice(TrackLine::straight([$x, $y], [$next[0], $next[1]]), 0, -1);
                foreach ($between as [$share, $p]) {
                    $points[] = $p;
                    $heights[] = $z + $share * ($next[2] - $z);
                }
            }
        }

        return count($vertices) < 2
            ? null
            : new TrackLine(
                $read->layer === '' || $read->layer === '0' ? 'Track' : $read->layer,
                $points,
                array_filter($heights) === [] ? null : $heights,
            );
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @return list<array{float, array{float, float}}> share of the way, place; ends left out
     */
    private static function arc(array $a, array $b, float $bulge): array
    {
        $angle = 4.0 * atan($bulge);
        $chord = hypot($b[0] - $a[0], $b[1] - $a[1]);
        $radius = $chord / 2.0 / max(1e-12, abs(sin($angle / 2.0)));
        $parts = max(1, (int) ceil(abs($angle) / (2.0 * acos(max(-1.0, 1.0 - self::SAGITTA / max(self::SAGITTA, $radius))))));
        $heading = atan2($b[1] - $a[1], $b[0] - $a[0]) - $angle / 2.0;
        $out = [];
        for ($k = 1; $k < $parts; $k++) {
            $turn = ($angle * $k) / $parts;
            $along = 2.0 * $radius * sin(abs($turn) / 2.0);
            $out[] = [$k / $parts, [$a[0] + $along * cos($heading + $turn / 2.0), $a[1] + $along * sin($heading + $turn / 2.0)]];
        }

        return $out;
    }
}
