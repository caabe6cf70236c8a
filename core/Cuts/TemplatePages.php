<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * How a drawing at full size is told over pages that are glued together: every page shows its part and a strip of its
 * neighbours'. Pages on which no line lies are left out. mm; columns from the left, rows from the lower edge, both from 0.
 */
final readonly class TemplatePages
{
    /** Portrait width and height. */
    public const PAPERS = ['a4' => [210.0, 297.0], 'a3' => [297.0, 420.0], 'letter' => [215.9, 279.4]];

    /** What printers leave white along each edge, what lies under it for words, and what neighbours share. */
    public const PAGE_MARGIN_MM = 10.0;

    public const PAGE_FOOT_MM = 12.0;

    public const PAGE_OVERLAP_MM = 10.0;

    /**
     * @param  float  $width of the paper as it lies, $height its height
     * @param  float  $x least x of the first page's part, $y its least y
     * @param  list<array{int, int}>  $pages column and row of those that have lines
     */
    private function __construct(
        public float $width,
        public float $height,
        public float $x,
        public float $y,
        public int $cols,
        public int $rows,
        public array $pages,
    ) {
    }

    /**
     * @param  non-empty-list<list<array{float, float}>>  $lines rings and lines of the drawing
     * @param  string  $paper one of PAPERS
     *
     * @throws InvalidValue for a paper that is not known
     */
    public static function of(array $lines, string $paper): self
    {
        $size = self::PAPERS[$paper] ?? throw new InvalidValue('Paper is a4, a3 or letter.', 'paper');
        [$x1, $y1, $x2, $y2] = Box::around(array_merge(...$lines) ?: [[0.0, 0.0]]);
        $best = null;
        foreach ([$size, [$size[1], $size[0]]] as [$w, $h]) {
            $cols = self::count($x2 - $x1, $w - 2.0 * self::PAGE_MARGIN_MM);
            $rows = self::count($y2 - $y1, $h - 2.0 * self::PAGE_MARGIN_MM - self::PAGE_FOOT_MM);
            if ($best === null || $cols * $rows < $best[2] * $best[3]) {
                $best = [$w, $h, $cols, $rows];
            }
        }
        [$w, $h, $cols, $rows] = $best;
        $bare = new self(
            $w,
            $h,
            $x1 - ($cols * self::step($w - 2.0 * self::PAGE_MARGIN_MM) + self::PAGE_OVERLAP_MM - ($x2 - $x1)) / 2.0,
            $y1 - ($rows * self::step($h - 2.0 * self::PAGE_MARGIN_MM - self::PAGE_FOOT_MM) + self::PAGE_OVERLAP_MM - ($y2 - $y1)) / 2.0,
            $cols,
            $rows,
            [],
        );
        $pages = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($col = 0; $col < $cols; $col++) {
                if (self::crosses($lines, ...$bare->part($col, $row))) {
                    $pages[] = [$col, $row];
                }
            }
        }

        return new self($w, $h, $bare->x, $bare->y, $cols, $rows, $pages);
    }

    /** @return array{float, float, float, float} least x, least y, greatest x, greatest y of what a page shows */
    public function part(int $col, int $row): array
    {
        [$w, $h] = [$this->width - 2.0 * self::PAGE_MARGIN_MM, $this->height - 2.0 * self::PAGE_MARGIN_MM - self::PAGE_FOOT_MM];
        [$x, $y] = [$this->x + $col * self::step($w), $this->y + $row * self::step($h)];

        return [$x, $y, $x + $w, $y + $h];
    }

    /** A page's name: columns by letter, rows by figure, from the lower left: A1. */
    public function name(int $col, int $row): string
    {
        $letters = '';
        for ($n = $col; $n >= 0; $n = intdiv($n, 26) - 1) {
            $letters = chr(65 + ($n % 26)).$letters;
        }

        return $letters.($row + 1);
    }

    private static function step(float $side): float
    {
        return $side - self::PAGE_OVERLAP_MM;
    }

    private static function count(float $length, float $side): int
    {
        return max(1, (int) ceil(($length - self::PAGE_OVERLAP_MM) / self::step($side) - 1e-9));
    }

    /** @param  list<list<array{float, float}>>  $lines */
    private static function crosses(array $lines, float $x1, float $y1, float $x2, float $y2): bool
    {
        foreach ($lines as $line) {
            foreach ($line as $k => $a) {
                $b = $line[($k + 1) % count($line)];
                // The part of a stretch within the page, by the sides it has to be between (Liang and Barsky, 1984).
                [$from, $to] = [0.0, 1.0];
                foreach ([[$b[0] - $a[0], $a[0], $x1, $x2], [$b[1] - $a[1], $a[1], $y1, $y2]] as [$d, $p, $low, $high]) {
                    if (abs($d) < 1e-12) {
                        $to = $p < $low || $p > $high ? -1.0 : $to;
                    } else {
                        $from = max($from, min(($low - $p) / $d, ($high - $p) / $d));
                        $to = min($to, max(($low - $p) / $d, ($high - $p) / $d));
                    }
                }
                if ($from <= $to) {
                    return true;
                }
            }
        }

        return false;
    }
}
