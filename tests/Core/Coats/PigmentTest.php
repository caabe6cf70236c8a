<?php

declare(strict_types=1);

namespace Tests\Core\Coats;

use IdleRidge\Core\Coats\Colour;
use IdleRidge\Core\Coats\Pigment;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\TestCase;

/** Colours mixed by parts, wet and dry, and how far apart they are. */
final class PigmentTest extends TestCase
{
    public function test_known_colours_have_their_places(): void
    {
        // CIELAB of sRGB white, black and pure red under D65.
        $this->assertEqualsWithDelta([100.0, 0.0, 0.0], Pigment::hex('#ffffff')->lab(), 0.02);
        $this->assertEqualsWithDelta([0.0, 0.0, 0.0], Pigment::hex('#000000')->lab(), 0.02);
        $this->assertEqualsWithDelta([53.24, 80.09, 67.2], Pigment::hex('#ff0000')->lab(), 0.05);
        $this->assertEqualsWithDelta(0.0, Pigment::hex('#8a6f4d')->from(Pigment::hex('#8a6f4d')), 1e-9);
        $this->assertEqualsWithDelta(100.0, Pigment::hex('#ffffff')->from(Pigment::hex('#000000')), 0.05);
    }

    public function test_mixing_takes_light_away(): void
    {
        $this->assertSame('#8a6f4d', Pigment::mixed([[Pigment::hex('#8a6f4d'), 3.0]])->toHex(), 'one paint is itself');
        // Two that reflect a quarter and the whole of a band reflect half of it together: the geometric mean.
        $quarter = Pigment::hex('#898989');
        $half = Pigment::mixed([[$quarter, 1.0], [Pigment::hex('#ffffff'), 1.0]]);
        $this->assertEqualsWithDelta(sqrt(((0x89 / 255 + 0.055) / 1.055) ** 2.4), (($half->r + 0.055) / 1.055) ** 2.4, 1e-6);
        $yellow = Pigment::hex('#f0e020');
        $blue = Pigment::hex('#2040c0');
        $green = Pigment::mixed([[$yellow, 1.0], [$blue, 1.0]]);
        $this->assertGreaterThan(max($green->r, $green->b), $green->g, 'yellow and blue make green, not grey');
        $this->assertLessThan($yellow->lab()[0], $green->lab()[0]);
        $once = Pigment::mixed([[$yellow, 2.0], [$blue, 1.0]]);
        $this->assertEqualsWithDelta(0.0, $once->from(Pigment::mixed([[$yellow, 20.0], [$blue, 10.0]])), 1e-6, 'parts are parts');
    }

    public function test_it_dries_a_shade_darker_and_keeps_its_hue(): void
    {
        $wet = Pigment::hex('#8a6f4d');
        $dry = $wet->dry();
        $this->assertEqualsWithDelta($wet->lab()[0] - Pigment::DRYING_SHADE_L, $dry->lab()[0], 0.3);
        $this->assertEqualsWithDelta([$wet->lab()[1], $wet->lab()[2]], [$dry->lab()[1], $dry->lab()[2]], 0.6);
        $this->assertSame('#000000', Pigment::hex('#000000')->dry()->toHex());
    }

    public function test_what_cannot_be_mixed_is_refused(): void
    {
        $mix = [['base' => 'white', 'parts' => 2.0], ['base' => 'black', 'parts' => 0.0]];
        $this->assertSame('2 white', (new Colour('u', 'Pale', $mix))->words(), 'nothing of a base is not in it');
        $refused = 0;
        foreach (
            [
                fn () => Pigment::hex('brown'),
                fn () => new Colour('u', '', $mix),
                fn () => new Colour('u', 'None', []),
                fn () => new Colour('u', 'None', [['base' => 'white', 'parts' => 0.0]]),
                fn () => new Colour('u', 'Less', [['base' => 'white', 'parts' => -1.0]]),
                fn () => (new Colour('u', 'Odd', $mix))->wet([]),
                fn () => Pigment::mixed([[Pigment::hex('#ffffff'), 0.0]]),
            ] as $try
        ) {
            try {
                $try();
            } catch (InvalidValue) {
                $refused++;
            }
        }
        $this->assertSame(7, $refused);
    }

    public function test_paint_dries_a_shade_darker_and_keeps_its_hue(): void
    {
        foreach (['#c8a878', '#6b5a44', '#8fa2a8'] as $hex) {
            [$l, $a, $b] = Pigment::hex($hex)->lab();
            $this->assertEqualsWithDelta([$l - 6.0, $a, $b], Pigment::hex($hex)->dry()->lab(), 0.05, $hex);
        }
        $this->assertEqualsWithDelta(0.0, Pigment::hex('#030303')->dry()->lab()[0], 1e-6, 'no darker than black');
    }
}
