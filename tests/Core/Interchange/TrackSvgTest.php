<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Interchange\TrackSvg;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class TrackSvgTest extends TestCase
{
    /** CSS Values and Units 3, section 6.2: an inch is 25.4 mm, 72 pt and 96 px. */
    #[TestWith(['1000mm', 1000.0])]
    #[TestWith(['100cm', 1000.0])]
    #[TestWith(['10in', 254.0])]
    #[TestWith(['720pt', 254.0])]
    #[TestWith(['960px', 254.0])]
    #[TestWith(['960', 254.0])]
    public function test_a_drawing_is_as_large_as_it_says_in_any_unit(string $width, float $mm): void
    {
        [$line] = TrackSvg::read(
            '<svg xmlns="http://www.w3.org/2000/svg" width="'.$width.'" viewBox="0 0 500 100"><path d="M0 100L500 100"/></svg>',
        );
        $end = $line->points[count($line->points) - 1];
        $this->assertEqualsWithDelta($mm, $end[0] - $line->points[0][0], 1e-6);
    }

    public function test_a_drawing_names_itself_and_its_attributes_go_first(): void
    {
        $svg = new Svg(120.0, 60.5, 'A “bank” & <cut>', ['class' => 'plan', 'role' => 'group']);
        $this->assertSame(
            '<svg class="plan" role="group" viewBox="0 0 120 60.5" aria-label="A “bank” &amp; &lt;cut&gt;">'
                .'<path class="a" d="M1 2L3 4"/></svg>',
            $svg->line('a', 1.0, 2.0, 3.0, 4.0)->toHtml(),
        );
    }
}
