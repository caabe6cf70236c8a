<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/** Lines of rising numbers. */
final class Sorted
{
    /**
     * The last gap of a line that begins at or before a value; the first where none does.
     *
     * @param  list<int|float>  $line rising, at least two
     */
    public static function gap(array $line, float $value): int
    {
        $low = 0;
        $high = count($line) - 2;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($line[$middle] <= $value) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $low;
    }
}
