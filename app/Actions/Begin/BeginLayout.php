<?php

declare(strict_types=1);

namespace App\Actions\Begin;

use App\Actions\Files\LayoutFiles;
use App\Actions\FormInput;
use App\Actions\Layouts\SaveLayout;
use App\Computed\Clock\UlidGenerator;
use App\Models\Layout;
use IdleRidge\Core\Cure\StartingRoom;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\StartingBoard;
use IdleRidge\Core\Project\StartingLand;
use IdleRidge\Core\Track\StartingValues;

/** Begins a layout with its first board: what runs, how large the board is, where it stands, and what lies on it. */
final readonly class BeginLayout
{
    public function __construct(private SaveLayout $layouts, private LayoutFiles $files, private UlidGenerator $uids)
    {
    }

    /** @param  array<string, mixed>  $input name, ratio, gauge_mm, units, zone, width_mm, depth_mm, room, board */
    public function of(array $input): Layout
    {
        $units = Units::tryFrom((new FormInput($input))->text('units')) ?? Units::Metric;

        return $this->files->store(UnitsInUse::during($units, fn (): Project => $this->project($input)));
    }

    /** @param  array<string, mixed>  $input */
    private function project(array $input): Project
    {
        $typed = new FormInput($input);
        $board = StartingBoard::tryFrom($typed->text('board')) ?? StartingBoard::Bare;
        $room = StartingRoom::tryFrom($typed->text('room')) ?? StartingRoom::Heated;
        $ratio = $typed->number('ratio', 87.1);
        $name = $typed->text('name');
        $gauge = $typed->text('gauge_mm');
        $fits = $ratio >= 1.0 && $ratio <= 1000.0;
        $sheet = $this->layouts->begun([
            ...$input,
            'name' => trim($name) === '' ? $board->title() : $name,
            'gauge_mm' => $gauge === '' && $fits ? StartingValues::gauge(Scale::oneTo($ratio)).' mm' : $gauge,
        ]);
        [$width, $depth] = StartingValues::board();
        [$width, $depth] = [$typed->length('width_mm', $width, $width), $typed->length('depth_mm', $depth, $depth)];

        return $typed->made(
            fn (): Project => StartingLand::of($board, $sheet, $width, $depth, $room->room($this->uids->next()), $this->uids->next(...)),
        );
    }
}
