<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use IdleRidge\Core\Measure\Day;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\TestCase;

final class DayTest extends TestCase
{
    public function test_a_day_is_one_of_the_calendar_in_a_year_in_which_somebody_builds(): void
    {
        foreach (['2000-01-01', '2028-02-29', '2199-12-31'] as $text) {
            $this->assertSame($text, Day::of($text, 'date')->format('Y-m-d'));
        }
        foreach (
            [
                '' => 'A date is missing',
                '2026-02-29' => 'is not a date',
                '2026-1-1' => 'is not a date',
                '14 Oct' => 'is not a date',
                '1999-12-31' => 'The year lies between 2000 and 2199.',
                '2200-01-01' => 'The year lies',
                '9999-12-31' => 'The year lies',
            ] as $text => $said
        ) {
            try {
                Day::of((string) $text, 'due/0/date');
                $this->fail("{$text} was taken");
            } catch (InvalidValue $refusal) {
                $this->assertStringContainsString($said, $refusal->getMessage());
                $this->assertSame('due/0/date', $refusal->place);
            }
        }
    }
}
