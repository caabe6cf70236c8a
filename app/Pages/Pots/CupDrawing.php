<?php

declare(strict_types=1);

namespace App\Pages\Pots;

use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Pots\PotKind;
use IdleRidge\Core\Pots\PotLine;
use IdleRidge\Core\Pots\PotPlan;

/** The cup cut open: what goes in, in adding order from below, each as high as it stands in it, with what the scale shows. */
final class CupDrawing
{
    private const WIDTH = 236.0;

    private const HEIGHT = 300.0;

    private const LEFT = 44.0;

    private const RIGHT = 150.0;

    private const TOP = 22.0;

    private const FOOT = 284.0;

    /** The cup is so much narrower at its foot, each side. */
    private const TAPER = 9.0;

    private const LABELS_APART = 26.0;

    /** @param  float|null  $cup ml */
    public static function of(PotPlan $plan, ?float $cup): Svg
    {
        $lines = $plan->lines();
        $heights = self::shares($lines);
        $volume = $plan->pot()->volume();
        $brim = max($cup ?? 0.0, ($volume ?? 0.0) / PotPlan::FILL);
        $fill = $volume === null || $brim <= 0.0 ? PotPlan::FILL : $volume / $brim;
        $words = implode(', ', array_map(fn (PotLine $l): string => $l->portion->material, $lines));
        $svg = new Svg(self::WIDTH, self::HEIGHT, "A cup filled from below: {$words}", ['class' => 'cup', 'role' => 'img']);
        $y = fn (float $share): float => self::FOOT - $share * (self::FOOT - self::TOP);
        $edge = fn (float $at): float => self::TAPER * ($at - self::TOP) / (self::FOOT - self::TOP);
        $from = 0.0;
        $last = self::FOOT + self::LABELS_APART;
        foreach ($lines as $k => $line) {
            $to = $from + $heights[$k] * $fill;
            [$low, $high] = [$y($from), $y($to)];
            $svg->path(
                'layer '.self::look($plan, $line),
                Svg::d([
                    [self::LEFT + $edge($low), $low],
                    [self::LEFT + $edge($high), $high],
                    [self::RIGHT - $edge($high), $high],
                    [self::RIGHT - $edge($low), $low],
                ], true),
            );
            $label = min($last - self::LABELS_APART, max(self::TOP + 8.0, $high));
            $svg->path('leader', Svg::d([[self::RIGHT - $edge($high), $high], [self::RIGHT + 10.0, $label], [self::RIGHT + 16.0, $label]]));
            $svg->text('reading', self::RIGHT + 20.0, $label + 4.5, $line->scale === null ? '' : self::grams($line->scale));
            [$from, $last] = [$to, $label];
        }
        self::scale($svg, $volume === null ? null : $brim, $y);
        $svg->path(
            'glass',
            Svg::d([
                [self::LEFT - 3.0, self::TOP - 6.0],
                [self::LEFT + self::TAPER, self::FOOT],
                [self::RIGHT - self::TAPER, self::FOOT],
                [self::RIGHT + 3.0, self::TOP - 6.0],
            ]),
        );

        return $svg;
    }

    /** As a kitchen scale shows it: whole grams, a tenth below ten. */
    public static function grams(float $grams): string
    {
        return Format::text($grams, 'g', $grams < 10.0 ? 1 : 0);
    }

    /**
     * @param  list<PotLine>  $lines
     * @return list<float> of the whole, by volume, or by weight where a volume is not known
     */
    private static function shares(array $lines): array
    {
        $ml = array_map(fn (PotLine $l): ?float => $l->portion->ml(), $lines);
        $by = in_array(null, $ml, true) ? array_map(fn (PotLine $l): float => $l->portion->grams() ?? $l->portion->amount, $lines) : $ml;
        $sum = max(1e-9, array_sum($by));

        return array_map(fn (?float $one): float => (float) $one / $sum, array_values($by));
    }

    private static function look(PotPlan $plan, PotLine $line): string
    {
        return match (true) {
            $line->portion->isWater() => 'water',
            $line->portion->isAlcohol() => 'alcohol',
            $plan->mixture->kind === PotKind::Dry, $line->portion->unit === 'g' => 'dry',
            $plan->mixture->colour !== null => 'paint',
            default => 'stuff',
        };
    }

    /** @param  callable(float): float  $y */
    private static function scale(Svg $svg, ?float $brim, callable $y): void
    {
        if ($brim === null || $brim <= 0.0) {
            return;
        }
        $full = Format::converted($brim, 'ml');
        $raw = $full / 5.0;
        $ten = 10.0 ** floor(log10($raw));
        $step = $ten * match (true) {
            $raw <= $ten => 1.0,
            $raw <= 2.0 * $ten => 2.0,
            $raw <= 5.0 * $ten => 5.0,
            default => 10.0,
        };
        for ($mark = $step; $mark <= $full * 1.0001; $mark += $step) {
            $svg->line('tick', self::LEFT - 6.0, $y($mark / $full), self::LEFT + 2.0, $y($mark / $full));
            $svg->text('figure', self::LEFT - 9.0, $y($mark / $full) + 4.0, Decimal::trimmed($mark, $step < 1.0 ? 1 : 0), 'end');
        }
        $svg->text('figure', self::LEFT - 9.0, self::FOOT + 4.0, Format::unit('ml'), 'end');
    }
}
