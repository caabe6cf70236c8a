<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\InvalidValue;

/** The path data of SVG (W3C, Scalable Vector Graphics 1.1, chapter 8) as points: curves and arcs are cut small. */
final class SvgPath
{
    private const CURVE_PARTS = 24;

    private const ARGUMENTS = ['m' => 2, 'l' => 2, 'h' => 1, 'v' => 1, 'c' => 6, 's' => 4, 'q' => 4, 't' => 2, 'a' => 7, 'z' => 0];

    /** @var list<list<array{float, float}>> */
    private array $lines = [];

    private float $x = 0.0;

    private float $y = 0.0;

    /** @var array{float, float} handle that a smooth curve mirrors */
    private array $handle = [0.0, 0.0];

    private string $before = '';

    /**
     * @return list<list<array{float, float}>> one list for each stretch that is drawn without lifting
     *
     * @throws InvalidValue
     */
    public static function points(string $data): array
    {
        return (new self())->read($data);
    }

    /** @return list<list<array{float, float}>> */
    private function read(string $data): array
    {
        $command = '';
        for ($at = self::afterGap($data, 0); $at < strlen($data);) {
            if (ctype_alpha($data[$at])) {
                $command = $data[$at];
                $at = self::afterGap($data, $at + 1);
            } elseif ($command === '' || strtolower($command) === 'z') {
                throw new InvalidValue('A path begins with M and a place.', 'd');
            }
            $takes = self::ARGUMENTS[strtolower($command)] ?? throw new InvalidValue("“{$command}” is no command of a path.", 'd');
            $values = [];
            for ($k = 0; $k < $takes; $k++) {
                $word = self::word($data, $at, strtolower($command) === 'a' && ($k === 3 || $k === 4));
                if ($word === null) {
                    throw new InvalidValue("“{$command}” wants {$takes} numbers.", 'd');
                }
                $values[] = (float) $word;
                $at = self::afterGap($data, $at + strlen($word));
            }
            if ($takes === 0) {
                $this->close();
            } else {
                $this->draw($command, $values);
            }
            $command = match ($command) {
                'm' => 'l',
                'M' => 'L',
                default => $command,
            };
        }

        return array_values(array_filter($this->lines, fn (array $line): bool => count($line) > 1));
    }

    /** The number that stands at a place, or the flag of an arc, which is one digit and may touch what comes next. */
    private static function word(string $data, int $at, bool $flag): ?string
    {
        $pattern = $flag ? '/\G[01]/' : '/\G[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?/';

        return preg_match($pattern, $data, $found, 0, $at) === 1 ? $found[0] : null;
    }

    private static function afterGap(string $data, int $at): int
    {
        return $at + strspn($data, " \t\r\n\f,", $at);
    }

    /** @param  list<float>  $v */
    private function draw(string $command, array $v): void
    {
        $kind = strtolower($command);
        $from = [$this->x, $this->y];
        if ($command === $kind) {
            foreach ($v as $k => $value) {
                $v[$k] = match (true) {
                    $kind === 'h' => $value + $from[0],
                    $kind === 'v' => $value + $from[1],
                    $kind === 'a' => $k < 5 ? $value : $value + $from[$k - 5],
                    default => $value + $from[$k % 2],
                };
            }
        }
        $smooth = fn (string $with): array => str_contains($with, $this->before) && $this->before !== ''
            ? [2.0 * $from[0] - $this->handle[0], 2.0 * $from[1] - $this->handle[1]]
            : $from;
        match ($kind) {
            'm' => $this->begin($v[0], $v[1]),
            'l' => $this->straight($from, [$v[0], $v[1]]),
            'h' => $this->straight($from, [$v[0], $from[1]]),
            'v' => $this->straight($from, [$from[0], $v[0]]),
            'c' => $this->curve([$from, [$v[0], $v[1]], [$v[2], $v[3]], [$v[4], $v[5]]]),
            's' => $this->curve([$from, $smooth('cs'), [$v[0], $v[1]], [$v[2], $v[3]]]),
            'q' => $this->curve([$from, [$v[0], $v[1]], [$v[2], $v[3]]]),
            't' => $this->curve([$from, $smooth('qt'), [$v[0], $v[1]]]),
            default => $this->arc($from, abs($v[0]), abs($v[1]), deg2rad($v[2]), $v[3] !== 0.0, $v[4] !== 0.0, [$v[5], $v[6]]),
        };
        $this->before = $kind;
    }

    private function begin(float $x, float $y): void
    {
        [$this->x, $this->y] = [$x, $y];
        $this->lines[] = [[$x, $y]];
    }

    private function to(float $x, float $y): void
    {
        if ($this->lines === []) {
            throw new InvalidValue('A path begins with M and a place.', 'd');
        }
        [$this->x, $this->y] = [$x, $y];
        $this->lines[count($this->lines) - 1][] = [$x, $y];
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $goal
     */
    private function straight(array $from, array $goal): void
    {
        foreach (TrackLine::straight($from, $goal) as [, $p]) {
            $this->to(...$p);
        }
    }

    private function close(): void
    {
        $first = $this->lines === [] ? null : $this->lines[count($this->lines) - 1][0];
        if ($first !== null) {
            $this->to(...$first);
            $this->lines[] = [$first];
        }
        $this->before = 'z';
    }

    /**
     * A Bézier curve of any degree, by de Casteljau's halving.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    private function curve(array $points): void
    {
        for ($n = 1; $n <= self::CURVE_PARTS; $n++) {
            $t = $n / self::CURVE_PARTS;
            $row = $points;
            while (count($row) > 1) {
                $next = [];
                for ($k = 1; $k < count($row); $k++) {
                    $next[] = [
                        $row[$k - 1][0] + $t * ($row[$k][0] - $row[$k - 1][0]),
                        $row[$k - 1][1] + $t * ($row[$k][1] - $row[$k - 1][1]),
                    ];
                }
                $row = $next;
            }
            $this->to(...$row[0]);
        }
        $this->handle = $points[count($points) - 2];
    }

    /**
     * From ends to centre as the recommendation's appendix F.6.5 has it.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private function arc(array $from, float $rx, float $ry, float $phi, bool $large, bool $sweep, array $to): void
    {
        [$dx, $dy] = [($from[0] - $to[0]) / 2.0, ($from[1] - $to[1]) / 2.0];
        if ($rx < 1e-9 || $ry < 1e-9 || hypot($dx, $dy) < 1e-9) {
            $this->to(...$to);

            return;
        }
        [$cos, $sin] = [cos($phi), sin($phi)];
        [$x, $y] = [$cos * $dx + $sin * $dy, $cos * $dy - $sin * $dx];
        $grow = sqrt(max(1.0, ($x / $rx) ** 2 + ($y / $ry) ** 2));
        [$rx, $ry] = [$rx * $grow, $ry * $grow];
        $under = max(0.0, ($rx * $ry) ** 2 - ($rx * $y) ** 2 - ($ry * $x) ** 2) / (($rx * $y) ** 2 + ($ry * $x) ** 2);
        $by = ($large === $sweep ? -1.0 : 1.0) * sqrt($under);
        [$cx, $cy] = [($by * $rx * $y) / $ry, (-$by * $ry * $x) / $rx];
        $a1 = atan2(($y - $cy) / $ry, ($x - $cx) / $rx);
        $turn = fmod(atan2((-$y - $cy) / $ry, (-$x - $cx) / $rx) - $a1 + 4.0 * M_PI, 2.0 * M_PI);
        $turn = $sweep ? $turn : $turn - 2.0 * M_PI;
        [$mx, $my] = [$cos * $cx - $sin * $cy + ($from[0] + $to[0]) / 2.0, $sin * $cx + $cos * $cy + ($from[1] + $to[1]) / 2.0];
        $parts = max(2, (int) ceil(((self::CURVE_PARTS * abs($turn)) / M_PI) * 2.0));
        for ($k = 1; $k <= $parts; $k++) {
            [$u, $w] = [$rx * cos($a1 + ($turn * $k) / $parts), $ry * sin($a1 + ($turn * $k) / $parts)];
            $this->to($mx + $cos * $u - $sin * $w, $my + $sin * $u + $cos * $w);
        }
        [$this->x, $this->y] = $to;
    }
}
