<?php

declare(strict_types=1);

namespace App\Pages\Pots;

use App\Computed\Plan\ComputedPlan;
use App\Computed\Plan\ComputedPots;
use App\Devices\BenchScale;
use App\Models\Layout;
use App\Models\TrustedLogger;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Pots\PotLine;
use IdleRidge\Core\Pots\Weighing;

/** What the bench scale says of the pot that is being mixed. */
final readonly class ShowWeighing
{
    public function __construct(private ComputedPlan $desk, private ComputedPots $pots, private BenchScale $scale)
    {
    }

    /**
     * @param  array<string, string>  $query as for pots; done (`line:grams;…`), before (grams), left (what is too
     *     much is left so)
     * @return array<string, mixed> for the view pots.weigh
     */
    public function of(Layout $layout, array $query): array
    {
        $kept = array_filter(array_intersect_key($query, array_flip(['pot', 'cup', 'move', 'recipe', 'by', 'value', 'material', 'mix'])));
        try {
            $reading = $this->scale->grams(TrustedLogger::scale($layout) ?? throw new InvalidValue('No scale is set.', 'scale'));
            $lines = $this->lines($layout, $query);
            $before = is_numeric($query['before'] ?? '') ? (float) $query['before'] : null;
            $now = Weighing::of($lines, self::done($query['done'] ?? ''), $reading, $before, ($query['left'] ?? '') !== '');
        } catch (InvalidValue $refusal) {
            return ['layout' => $layout, 'fault' => $refusal->getMessage(), 'vals' => $kept];
        }
        $name = $now->line === null ? null : $lines[$now->line]->portion->material;

        return [
            'layout' => $layout,
            'fault' => null,
            'vals' => $kept + ['before' => (string) $reading, 'done' => self::told($now->done)],
            'reading' => Format::parts($reading, 'g', 1),
            'line' => $name,
            'share' => min(1.0, $now->share()),
            'over' => $now->over,
            'left' => CupDrawing::grams(abs($now->left())),
            'target' => CupDrawing::grams($now->target),
            'more' => array_map(
                fn (int $line, float $grams): string => CupDrawing::grams($grams).' '.$lines[$line]->portion->material,
                array_keys($now->more),
                $now->more,
            ),
            'factor' => $now->factor > 1.005 ? Decimal::trimmed($now->factor, 2) : '',
        ];
    }

    /**
     * @param  array<string, string>  $query
     * @return list<PotLine>
     */
    private function lines(Layout $layout, array $query): array
    {
        $cup = is_numeric($query['cup'] ?? '') ? (float) $query['cup'] : null;
        foreach ($this->pots->asked($this->desk->plan($layout), $this->pots->read($query), $cup) as $offer) {
            if ($offer->id === ($query['pot'] ?? '') && $offer->plan !== null) {
                return $offer->plan->lines();
            }
        }
        throw new InvalidValue('That pot is no longer asked for.', 'pot');
    }

    /** @return list<array{int, float}> */
    private static function done(string $text): array
    {
        $out = [];
        foreach (explode(';', $text) as $one) {
            if (preg_match('/^(\d{1,3}):(-?\d{1,6}(?:\.\d{1,4})?)$/', $one, $found) === 1) {
                $out[] = [(int) $found[1], (float) $found[2]];
            }
        }

        return $out;
    }

    /** @param  list<array{int, float}>  $done */
    private static function told(array $done): string
    {
        return implode(';', array_map(fn (array $one): string => $one[0].':'.round($one[1], 2), $done));
    }
}
