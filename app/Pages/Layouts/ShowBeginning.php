<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Actions\FormInput;
use App\Computed\Land\ComputedLand;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cure\StartingRoom;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\StartingBoard;
use IdleRidge\Core\Project\StartingLand;
use IdleRidge\Core\Track\StartingValues;

/** The three questions that a layout begins with, and what each starting board would be with what is answered so far. */
final readonly class ShowBeginning
{
    private const USUAL_RATIO = 87.1;

    public function __construct(private ComputedLand $land)
    {
    }

    /**
     * @param  array<array-key, mixed>  $answered ratio, units, shown_in, width_mm, depth_mm, room, board, name
     * @return array<string, mixed> for the view layouts.begin
     */
    public function of(array $answered): array
    {
        $typed = new FormInput($answered);
        $units = Units::tryFrom($typed->text('units')) ?? Units::Metric;
        $was = Units::tryFrom($typed->text('shown_in')) ?? $units;
        $sizes = UnitsInUse::during($was, fn (): array => $this->sizes($typed, $units));
        UnitsInUse::become($units);
        $ratio = $typed->number('ratio', self::USUAL_RATIO);
        $ratio = $ratio >= 1.0 && $ratio <= 1000.0 ? $ratio : self::USUAL_RATIO;
        $scale = Scale::oneTo($ratio);
        $picked = StartingBoard::tryFrom($typed->text('board')) ?? StartingBoard::HaltOnBank;

        return [
            'units' => $units->value,
            'ratio' => $typed->text('ratio', (string) self::USUAL_RATIO) ?: (string) self::USUAL_RATIO,
            'name' => $typed->text('name'),
            'gauge' => $typed->text('gauge_mm'),
            'standard' => Format::length(StartingValues::gauge($scale), 1),
            'scale' => $scale->label(),
            'width' => Format::field($sizes[0]),
            'depth' => Format::field($sizes[1]),
            'real' => implode(' × ', array_map(fn (float $mm): string => Format::text($scale->toPrototype($mm) / 1000.0, 'm'), $sizes)),
            'rooms' => StartingRoom::cases(),
            'room' => StartingRoom::tryFrom($typed->text('room')) ?? StartingRoom::Heated,
            'picked' => $picked,
            'boards' => array_map(fn (StartingBoard $kind): array => $this->board($kind, $scale, ...$sizes), StartingBoard::cases()),
        ];
    }

    /**
     * What is typed, and what fits the units where it was not changed.
     *
     * @return array{float, float} mm
     */
    private function sizes(FormInput $typed, Units $units): array
    {
        $was = StartingValues::board();
        $usual = UnitsInUse::during($units, fn (): array => StartingValues::board());
        $out = [];
        foreach (['width_mm', 'depth_mm'] as $k => $field) {
            try {
                $mm = $typed->text($field) === '' ? $was[$k] : Amount::parse($typed->text($field), 'mm');
            } catch (InvalidValue) {
                $mm = $was[$k];
            }
            $out[] = abs($mm - $was[$k]) < 0.05 ? $usual[$k] : $mm;
        }

        return $out;
    }

    /** @return array{kind: StartingBoard, drawing: Svg|null, fault: string} */
    private function board(StartingBoard $kind, Scale $scale, float $width, float $depth): array
    {
        try {
            $project = $this->project($kind, $scale, $width, $depth);
            $section = $project->sections[0];
            $lines = $kind === StartingBoard::Bare ? [] : $this->land->thumb($project, $section);

            return ['kind' => $kind, 'drawing' => StartingDrawing::of($project, $lines), 'fault' => ''];
        } catch (InvalidValue|InvalidValues $refusal) {
            return ['kind' => $kind, 'drawing' => null, 'fault' => $refusal->getMessage()];
        }
    }

    private function project(StartingBoard $kind, Scale $scale, float $width, float $depth): Project
    {
        $sheet = new LayoutSheet(
            self::uid(0),
            'Beginning',
            $scale->ratio,
            StartingValues::gauge($scale),
            UnitsInUse::current(),
            clearance: new LayoutClearance([StartingValues::coach($scale)], StartingValues::margin($scale)),
        );
        // The same ones each time: what was computed once is found again.
        $count = 0;
        $uid = function () use (&$count): string {
            return self::uid(++$count);
        };

        return StartingLand::of($kind, $sheet, $width, $depth, Room::standard(self::uid(99)), $uid);
    }

    private static function uid(int $n): string
    {
        return sprintf('%026d', $n);
    }
}
