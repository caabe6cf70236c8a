<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Water\BedColours;
use IdleRidge\Core\Water\Mirror;
use IdleRidge\Core\Water\WaterPlan;
use IdleRidge\Core\Water\WaterSheet;

/** How waters are made, and mirrors, as they stand in a layout's file; colours of beds and the size of sheets as the library has them. */
final class WaterFile
{
    public static function plan(Record $r, string $uid): WaterPlan
    {
        $coats = $r->numberOrNull('coats');
        $given = [
            $uid,
            $r->text('water'),
            $r->text('school'),
            $r->numberOrNull('fill_mm'),
            $coats === null ? null : (int) $coats,
            (int) $r->number('bands', 3.0),
            $r->flag('dark_rim'),
            $r->numberOrNull('pot_g'),
            $r->extra(),
        ];

        return $r->within(fn (): WaterPlan => new WaterPlan(...$given));
    }

    public static function mirror(Record $r, string $uid): Mirror
    {
        $given = [
            $uid,
            $r->text('section'),
            $r->text('name'),
            $r->number('x_mm'),
            $r->number('y_mm'),
            $r->number('width_mm'),
            $r->number('height_mm'),
            $r->number('facing_deg'),
            $r->extra(),
        ];

        return $r->within(fn (): Mirror => new Mirror(...$given));
    }

    /** @return array<string, mixed> */
    public static function fromPlan(WaterPlan $plan): array
    {
        return ['uid' => $plan->uid, 'water' => $plan->water, 'school' => $plan->school, 'bands' => $plan->bands] +
            ($plan->fill === null ? [] : ['fill_mm' => $plan->fill]) +
            ($plan->coats === null ? [] : ['coats' => $plan->coats]) +
            ($plan->darkRim ? ['dark_rim' => true] : []) +
            ($plan->potG === null ? [] : ['pot_g' => $plan->potG]) +
            $plan->extra;
    }

    /** @return array<string, mixed> */
    public static function fromMirror(Mirror $mirror): array
    {
        return [
            'uid' => $mirror->uid,
            'section' => $mirror->section,
            'name' => $mirror->name,
            'x_mm' => $mirror->x,
            'y_mm' => $mirror->y,
            'width_mm' => $mirror->width,
            'height_mm' => $mirror->height,
            'facing_deg' => $mirror->facingDeg,
        ] + $mirror->extra;
    }

    /**
     * @return array{colours: BedColours, sheet: WaterSheet} of the library
     *
     * @throws InvalidValue naming the place in the file
     */
    public static function library(string $json): array
    {
        $root = new Record(json_decode($json, false, 16, JSON_THROW_ON_ERROR), '');
        $paint = function (Record $r): array {
            $paint = ['name' => $r->text('name'), 'hex' => $r->text('hex')];
            $r->close();

            return preg_match('/^#[0-9a-f]{6}$/', $paint['hex']) === 1 ? $paint : throw new InvalidValue('#rrggbb', $r->at('hex'));
        };
        $bed = $root->record('bed');
        $sheet = $root->record('sheet');

        return [
            'colours' => new BedColours($paint($bed->record('dark')), $paint($bed->record('light'))),
            'sheet' => new WaterSheet($sheet->number('width_mm'), $sheet->number('height_mm'), $sheet->number('tuck_mm')),
        ];
    }
}
