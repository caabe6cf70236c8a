<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\Decimal;

/** A drawing of polylines as DXF R12, mm: layers of one's own, nothing but POLYLINE, POINT and TEXT. */
final class DxfDrawing
{
    /** @var list<array{int, string}> */
    private array $pairs = [
        [0, 'SECTION'],
        [2, 'HEADER'],
        [9, '$ACADVER'],
        [1, 'AC1009'],
        [9, '$INSUNITS'],
        [70, '4'],
        [0, 'ENDSEC'],
        [0, 'SECTION'],
        [2, 'ENTITIES'],
    ];

    /** A name as R12 takes it: capital letters, digits, - and _. */
    public static function layer(string $name): string
    {
        return substr((string) preg_replace('/[^A-Z0-9_-]+/', '_', strtoupper($name)), 0, 31) ?: 'LAYER';
    }

    /**
     * @param  list<array{0: float, 1: float, 2?: float, 3?: float}>  $points x, y, z, bulge to the next
     */
    public function polyline(string $layer, array $points, bool $closed): self
    {
        array_push(
            $this->pairs,
            [0, 'POLYLINE'],
            [8, self::layer($layer)],
            [66, '1'],
            [70, $closed ? '1' : '0'],
            [10, '0.0'],
            [20, '0.0'],
            [30, '0.0'],
        );
        foreach ($points as $p) {
            array_push(
                $this->pairs,
                [0, 'VERTEX'],
                [8, self::layer($layer)],
                [10, self::say($p[0])],
                [20, self::say($p[1])],
                [30, self::say($p[2] ?? 0.0)],
                [42, self::say($p[3] ?? 0.0)],
            );
        }
        array_push($this->pairs, [0, 'SEQEND'], [8, self::layer($layer)]);

        return $this;
    }

    public function point(string $layer, float $x, float $y): self
    {
        array_push($this->pairs, [0, 'POINT'], [8, self::layer($layer)], [10, self::say($x)], [20, self::say($y)], [30, '0.0']);

        return $this;
    }

    public function text(string $layer, float $x, float $y, string $text, float $height = 5.0): self
    {
        array_push(
            $this->pairs,
            [0, 'TEXT'],
            [8, self::layer($layer)],
            [10, self::say($x)],
            [20, self::say($y)],
            [30, '0.0'],
            [40, self::say($height)],
            [1, (string) iconv('UTF-8', 'ASCII//TRANSLIT', $text)],
        );

        return $this;
    }

    public function __toString(): string
    {
        return implode(
            '',
            array_map(fn (array $pair): string => sprintf("%3d\n%s\n", $pair[0], $pair[1]), [...$this->pairs, [0, 'ENDSEC'], [0, 'EOF']]),
        );
    }

    private static function say(float $value): string
    {
        return Decimal::fixed($value, 6);
    }
}
