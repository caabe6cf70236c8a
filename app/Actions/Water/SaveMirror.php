<?php

declare(strict_types=1);

namespace App\Actions\Water;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Computed\Water\ComputedWater;
use App\Models\Layout;
use App\Models\Mirror as MirrorRow;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\WaterFile;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\StreamEnd;
use IdleRidge\Core\Water\Mirror;

/** Mirrors where water would end: set at an end, moved, turned, put away. */
final readonly class SaveMirror
{
    /** Where no bridge says how high it may be, mm; it reaches so far past both banks. */
    private const HIGH_MM = 40.0;

    private const PAST_BANK_MM = 4.0;

    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private ComputedWater $water,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input end: uid of a water and the edge it leaves by, with a colon
     *
     * @throws InvalidValue when no water ends there
     */
    public function add(Layout $layout, string $section, array $input): Mirror
    {
        $typed = new FormInput($input);
        $project = $this->load->of($layout);
        $board = $project->section($section);
        $is = fn (StreamEnd $end): bool => "{$end->water}:{$end->edge->value}" === $typed->text('end');
        $end = array_values(array_filter($this->water->survey($project, $board)->ends, $is))[0] ?? null;
        if ($end === null) {
            throw new InvalidValue('No water leaves the board there.', 'end');
        }
        $there = $board->placement->toLayout(new Point(...$end->at));
        $mirror = new Mirror(
            $this->rows->uid(),
            $section,
            mb_substr("Mirror at {$end->name}", 0, 80),
            $there->x,
            $there->y,
            max(5.0, min(2000.0, round($end->width + 2.0 * self::PAST_BANK_MM))),
            max(5.0, min(1000.0, $end->under === null ? self::HIGH_MM : floor($end->under))),
            $end->inwardDeg + $board->placement->angleDeg,
        );
        $this->ledger->record(
            $layout,
            "{$mirror->name} set",
            fn (ChangeSet $changes) => $this->rows->add($changes, $layout, MirrorRow::class, WaterFile::fromMirror($mirror)),
        );

        return $mirror;
    }

    /** @param  array<string, mixed>  $input name, x, y (mm on the board), width, height (mm), facing_deg (against the board’s front) */
    public function change(Layout $layout, Section $board, MirrorRow $row, array $input): Mirror
    {
        $typed = new FormInput($input);
        $old = $this->load->of($layout)->works->waters->mirror($row->uid) ?? throw new InvalidValue('The mirror is gone.', 'name');
        $here = $old->seenFrom($board->placement);
        $mirror = $typed->made(function () use ($typed, $old, $here, $board): Mirror {
            [$x, $y] = [$typed->length('x', $here->x, $here->x), $typed->length('y', $here->y, $here->y)];
            if ($x < 0.0 || $y < 0.0 || $x > $board->width || $y > $board->depth) {
                throw new InvalidValue(
                    'That is beside the board, which is '.Format::several([$board->width, $board->depth], 'mm', 1).'.',
                    'x',
                );
            }
            $there = $board->placement->toLayout(new Point($x, $y));

            return $old->but(
                name: Words::plain($typed->text('name', $old->name)),
                x: $there->x,
                y: $there->y,
                width: $typed->length('width', $old->width, $old->width),
                height: $typed->length('height', $old->height, $old->height),
                facingDeg: $typed->number('facing_deg', $here->facingDeg) + $board->placement->angleDeg,
            );
        });
        $this->ledger->record(
            $layout,
            "{$mirror->name} set anew",
            fn (ChangeSet $changes) => $changes->save($row->keep(WaterFile::fromMirror($mirror))),
        );

        return $mirror;
    }

    public function putAway(Layout $layout, MirrorRow $row): void
    {
        $name = $this->load->of($layout)->works->waters->mirror($row->uid)->name ?? 'A mirror';
        $this->ledger->record($layout, "{$name} put away", fn (ChangeSet $changes) => $changes->delete($row));
    }
}
