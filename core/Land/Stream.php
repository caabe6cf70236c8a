<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Box;

/**
 * A stream, section coordinates, mm, from source to mouth. Its water lies a little below the ground along its line and never
 * rises: where the ground does, the stream cuts in. Its bed is a parabola below the water, its banks lie 1 in 1.5.
 */
final readonly class Stream implements Shape, Water
{
    private const BANK_BATTER = 1.5;

    /** Places at which its water is told are so far apart, mm. */
    public const STEP_MM = 8.0;

    /**
     * @param  non-empty-list<array{float, float}>  $line
     * @param  non-empty-list<float>  $levels of the water at each point of the line, never rising
     * @param  non-empty-list<float>  $cuts how deep the water lies under the ground there
     * @param  list<array{float, float, float, float, int, int}>  $legs start and way of each stretch between its own points, the place in
     *     the line where it begins, and how many places it has
     */
    private function __construct(
        public string $uid,
        public string $name,
        public array $line,
        public array $levels,
        public array $cuts,
        public float $width,
        public float $depth,
        private array $legs,
    ) {
    }

    /**
     * @param  non-empty-list<array{float, float}>  $line two points or more
     * @param  callable(float, float): float  $ground
     * @param  float  $below how far the water lies under the lower bank
     */
    public static function along(string $uid, string $name, array $line, float $width, float $depth, float $below, callable $ground): self
    {
        $points = [$line[0]];
        $legs = [];
        for ($k = 1; $k < count($line); $k++) {
            [$a, $b] = [$line[$k - 1], $line[$k]];
            $parts = max(1, (int) ceil(hypot($b[0] - $a[0], $b[1] - $a[1]) / self::STEP_MM));
            $legs[] = [$a[0], $a[1], $b[0] - $a[0], $b[1] - $a[1], count($points) - 1, $parts];
            for ($n = 1; $n <= $parts; $n++) {
                $points[] = [$a[0] + (($b[0] - $a[0]) * $n) / $parts, $a[1] + (($b[1] - $a[1]) * $n) / $parts];
            }
        }
        $level = INF;
        $levels = $cuts = [];
        foreach ($points as [$x, $y]) {
            $here = $ground($x, $y);
            $level = min($level, $here - $below);
            $levels[] = $level;
            $cuts[] = $here - $level;
        }

        return new self($uid, $name, $points, $levels, $cuts, $width, $depth, $legs);
    }

    public function fall(): float
    {
        return $this->levels[0] - $this->levels[count($this->levels) - 1];
    }

    public function length(): float
    {
        $sum = 0.0;
        for ($k = 1; $k < count($this->line); $k++) {
            $sum += hypot($this->line[$k][0] - $this->line[$k - 1][0], $this->line[$k][1] - $this->line[$k - 1][1]);
        }

        return $sum;
    }

    public function shape(float $x, float $y, float $ground): float
    {
        [$away, $level] = $this->nearest($x, $y);
        $beyond = $away - $this->width / 2.0;

        return min(
            $ground,
            $beyond > 0.0 ? $level + $beyond / self::BANK_BATTER : $level - $this->depth * (1.0 - ($away / ($this->width / 2.0)) ** 2),
        );
    }

    public function waterAt(float $x, float $y): ?float
    {
        [$away, $level] = $this->nearest($x, $y);

        return $away <= $this->width / 2.0 ? $level : null;
    }

    public function under(float $x, float $y, float $height): float
    {
        [$away, $level] = $this->nearest($x, $y);
        $out = $away - $this->width / 2.0;

        return $out < 0.0 ? $level - $height : min(-$out, $level - $height);
    }

    public function beyond(float $x, float $y): float
    {
        return $this->nearest($x, $y)[0] - $this->width / 2.0;
    }

    /** @return array{float, float} distance to the line, and the water's level there */
    private function nearest(float $x, float $y): array
    {
        $least = INF;
        $at = [0, 0.0];
        foreach ($this->legs as [$ax, $ay, $dx, $dy, $begin, $parts]) {
            $t = max(0.0, min(1.0, (($x - $ax) * $dx + ($y - $ay) * $dy) / ($dx * $dx + $dy * $dy)));
            $square = ($x - $ax - $t * $dx) ** 2 + ($y - $ay - $t * $dy) ** 2;
            if ($square < $least) {
                $least = $square;
                $place = min($parts - 1, (int) ($t * $parts));
                $at = [$begin + $place, $t * $parts - $place];
            }
        }
        $level = $this->levels[$at[0]] + $at[1] * (($this->levels[$at[0] + 1] ?? 0.0) - $this->levels[$at[0]]);

        return [sqrt($least), $level];
    }

    public function reach(float $lowest, float $highest): array
    {
        return Box::around($this->line, $this->width / 2.0 + max(0.0, $highest - min($this->levels)) * self::BANK_BATTER + 1.0);
    }
}
