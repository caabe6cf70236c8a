<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use IdleRidge\Core\Measure\Decimal;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Numbers as text. */
final class DecimalTest extends TestCase
{
    #[TestWith([12.5, 2, '12.5', '12.50'])]
    #[TestWith([100.0, 0, '100', '100'])]
    #[TestWith([100.0, 2, '100', '100.00'])]
    #[TestWith([0.004, 2, '0', '0.00'])]
    #[TestWith([-0.004, 2, '0', '0.00'])]
    #[TestWith([-0.006, 2, '-0.01', '-0.01'])]
    #[TestWith([1234.5678, 3, '1234.568', '1234.568'])]
    public function test_trailing_zeros_and_a_negative_nothing_are_dropped(
        float $value,
        int $decimals,
        string $trimmed,
        string $fixed,
    ): void {
        $this->assertSame($trimmed, Decimal::trimmed($value, $decimals));
        $this->assertSame($fixed, Decimal::fixed($value, $decimals));
    }
}
