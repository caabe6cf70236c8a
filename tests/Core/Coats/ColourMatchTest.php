<?php

declare(strict_types=1);

namespace Tests\Core\Coats;

use IdleRidge\Core\Coats\DeltaE2000;
use IdleRidge\Core\Coats\NearestMixes;
use IdleRidge\Core\Coats\Pigment;
use IdleRidge\Core\Journal\WhiteCard;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Fixtures;

/** Colours that are read from pictures and mixed after them. */
final class ColourMatchTest extends TestCase
{
    /** The 34 test pairs published with the formula (G. Sharma and others, 2005, table 1), four places each, both ways round. */
    public function test_published_pairs_of_colours_are_as_far_apart_as_published(): void
    {
        $lines = array_filter(explode("\n", Fixtures::text('colour/ciede2000.csv')));
        $this->assertCount(34, $lines);
        foreach ($lines as $k => $line) {
            [$l1, $a1, $b1, $l2, $a2, $b2, $apart] = array_map(floatval(...), explode(',', $line));
            $this->assertEqualsWithDelta($apart, DeltaE2000::between([$l1, $a1, $b1], [$l2, $a2, $b2]), 5e-5, "pair {$k}");
            $this->assertEqualsWithDelta($apart, DeltaE2000::between([$l2, $a2, $b2], [$l1, $a1, $b1]), 5e-5, "pair {$k} turned");
        }
    }

    public function test_a_mix_of_the_palette_is_found_again(): void
    {
        $bases = array_map(Pigment::hex(...), json_decode((string) file_get_contents(__DIR__.'/../../../library/pigments.json'), true));
        $random = new Randomizer(new Xoshiro256StarStar(7));
        for ($n = 0; $n < 12; $n++) {
            [$one, $other] = $random->pickArrayKeys($bases, 2);
            $parts = [$random->getInt(1, 6), $random->getInt(1, 6)];
            $target = Pigment::mixed([[$bases[$one], (float) $parts[0]], [$bases[$other], (float) $parts[1]]])->dry();
            $found = NearestMixes::of($target, $bases);
            $this->assertCount(3, $found);
            $best = min(array_column($found, 'apart'));
            $this->assertLessThan(0.05, $best, "{$parts[0]} {$one}, {$parts[1]} {$other}");
            foreach ($found as $mix) {
                foreach ($mix['mix'] as ['base' => $base, 'parts' => $p]) {
                    $this->assertArrayHasKey($base, $bases);
                    $this->assertGreaterThanOrEqual(1.0, $p);
                    $this->assertLessThanOrEqual(NearestMixes::MAX_PARTS, $p);
                }
            }
        }
    }

    public function test_one_paint_is_offered_before_three_that_are_hardly_nearer(): void
    {
        $bases = ['umber' => Pigment::hex('#6b5a44'), 'white' => Pigment::hex('#f4f3ee'), 'black' => Pigment::hex('#2b2a29')];
        $found = NearestMixes::of($bases['umber']->dry(), $bases);
        $this->assertSame([['base' => 'umber', 'parts' => 1.0]], $found[0]['mix']);
        $this->assertEqualsWithDelta(0.0, $found[0]['apart'], 0.01);
    }

    /** A grey seen beside a card in any light comes out the same: light times reflectance, band by band. */
    public function test_a_white_card_takes_the_lamp_out_of_a_picture(): void
    {
        $linear = fn (float $v): float => $v <= 0.0031308 ? 12.92 * $v : 1.055 * $v ** (1.0 / 2.4) - 0.055;
        $hex = fn (array $light, array $of): string => '#'.implode('', array_map(
            fn (float $l, float $r): string => sprintf('%02x', (int) round(255.0 * $linear($l * $r))),
            $light,
            $of,
        ));
        $paint = [0.18, 0.12, 0.07];
        $even = Pigment::hex($hex([1.0, 1.0, 1.0], $paint));
        foreach ([[1.0, 0.8, 0.5], [0.7, 0.85, 1.0], [0.5, 0.5, 0.5]] as $light) {
            $card = WhiteCard::hex($hex($light, array_fill(0, 3, WhiteCard::REFLECTANCE)));
            $this->assertLessThan(1.2, $card->balance(Pigment::hex($hex($light, $paint)))->apart($even));
        }
        $this->assertGreaterThan(5.0, Pigment::hex($hex([1.0, 0.8, 0.5], $paint))->apart($even), 'without the card it is another colour');
    }

    public function test_a_card_that_is_too_dark_or_burnt_out_is_refused(): void
    {
        $hex = fn (int $v): string => sprintf('#%02x%02x%02x', $v, $v, $v);
        foreach ([WhiteCard::MIN_BAND, WhiteCard::MAX_BAND] as $fits) {
            WhiteCard::hex($hex($fits));
        }
        foreach ([[WhiteCard::MIN_BAND - 1, 'too dark'], [WhiteCard::MAX_BAND + 1, 'burnt out']] as [$band, $why]) {
            try {
                WhiteCard::hex($hex($band));
                $this->fail("{$band} is taken");
            } catch (InvalidValue $refused) {
                $this->assertStringContainsString($why, $refused->getMessage());
            }
        }
    }

    /** Light adds up before the eye, not numbers of a file: half black and half white is #bcbcbc. */
    public function test_a_spot_is_the_mean_of_its_light(): void
    {
        $this->assertSame('#bcbcbc', Pigment::mean([[0, 0, 0], [255, 255, 255]])->toHex());
        $this->assertSame('#203040', Pigment::mean([[32, 48, 64], [32, 48, 64]])->toHex());
    }

    public function test_parts_of_two_paints_are_the_smallest_whole_ones(): void
    {
        $bases = ['white' => Pigment::hex('#f4f3ee'), 'black' => Pigment::hex('#2b2a29')];
        $seen = [];
        for ($a = 1; $a <= NearestMixes::MAX_PARTS; $a++) {
            for ($b = 1; $b <= NearestMixes::MAX_PARTS; $b++) {
                $target = Pigment::mixed([[$bases['white'], (float) $a], [$bases['black'], (float) $b]])->dry();
                $best = NearestMixes::of($target, $bases)[0];
                for ($d = $a; $a % $d !== 0 || $b % $d !== 0; $d--) {
                    continue;
                }
                $this->assertSame([1.0 * $a / $d, 1.0 * $b / $d], array_column($best['mix'], 'parts'), "{$a} : {$b}");
                $seen[$a / $d.':'.$b / $d] = true;
            }
        }
        $this->assertArrayHasKey('2:3', $seen);
    }
}
