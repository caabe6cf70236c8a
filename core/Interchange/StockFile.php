<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\StockSheet;
use IdleRidge\Core\Measure\Refusal;

/** What foam is cut from, as files and rows hold it. */
final class StockFile
{
    /** @throws Refusal with its pointer */
    public static function cuts(Record $r): CutSettings
    {
        $school = CutSchool::tryFrom($r->text('school')) ?? throw new Refusal('the school is carved or fill', $r->at('school'));
        $cuts = CutSettings::of(
            $school, $r->number('sheet_mm'), $r->number('skin_mm'), $r->number('sheet_width_mm'), $r->number('sheet_depth_mm'), $r->number('kerf_mm', 1.5), $r->number('margin_mm', 0.0), self::sheets($r), self::whole($r, 'price'),
        );
        $r->close();

        return $cuts;
    }

    /** @return list<StockSheet> */
    private static function sheets(Record $r): array
    {
        return array_map(fn (Record $s): StockSheet => $s->within(function () use ($s): StockSheet {
            $sheet = StockSheet::of($s->number('sheet_mm'), $s->number('sheet_width_mm'), $s->number('sheet_depth_mm'), self::whole($s, 'count'), self::whole($s, 'price'));
            $s->close();

            return $sheet;
        }), $r->has('more') ? $r->records('more') : []);
    }

    private static function whole(Record $r, string $key): ?int
    {
        $value = $r->numberOrNull($key);

        return $value === null ? null : (int) round($value);
    }
}
