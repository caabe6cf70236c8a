<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use IdleRidge\Core\Interchange\Svg;
use PHPUnit\Framework\TestCase;

/** Marks of a drawing. */
final class SvgTest extends TestCase
{
    public function test_dots_and_hatching_repeat_evenly(): void
    {
        $dots = (new Svg(10.0, 10.0, 'a'))->hatch('dots', 'soil', 8.0, null)->toHtml();
        $this->assertStringContainsString('cx="2" cy="2"', $dots);
        $this->assertStringContainsString('cx="6" cy="6"', $dots);
        $this->assertStringContainsString('width="8" height="8"', $dots);
        $lines = (new Svg(10.0, 10.0, 'a'))->hatch('lines', 'rock', 6.0, 45.0)->toHtml();
        $this->assertStringContainsString('patternTransform="rotate(45)"', $lines);
        $this->assertStringContainsString('d="M0 0V6"', $lines);
    }

    public function test_words_and_labels_cannot_break_out_of_a_drawing(): void
    {
        $svg = (new Svg(10.0, 10.0, 'a "b" <c>'))->text('n', 1.0, 2.0, '<script>&')->toHtml();
        $this->assertStringNotContainsString('<script>', $svg);
        $this->assertStringContainsString('&lt;script&gt;&amp;', $svg);
        $this->assertStringNotContainsString('<c>', $svg);
    }

    public function test_a_line_leaves_out_places_that_fall_together(): void
    {
        $this->assertSame('M0 0L5 0 5 5Z', Svg::d([[0.0, 0.0], [0.001, 0.0], [5.0, 0.0], [5.0, 5.0]], true));
        $this->assertSame('', Svg::d([], true));
    }
}
