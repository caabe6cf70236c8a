<?php

declare(strict_types=1);

namespace App\Actions\Layouts;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Computed\Clock\UlidGenerator;
use App\Computed\ProjectLoader;
use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\Run;
use App\Models\Section as SectionRow;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Cuts\StandingFoam;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\Record as Values;
use IdleRidge\Core\Interchange\RoomFile;
use IdleRidge\Core\Interchange\StockFile;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Measure\Tuples;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Project\BoardPlace;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\StartingValues;
use IdleRidge\Core\Water\Mirror;
use Psr\Clock\ClockInterface;

/** Adds, changes and removes sections. When a board is moved, the land that lies on it goes with it. */
final readonly class SaveSection
{
    private const FIELDS = ['name', 'depth_mm', 'x_mm', 'y_mm', 'angle_deg', 'base_mm', 'room'];

    public function __construct(
        private Ledger $ledger,
        private UlidGenerator $uids,
        private ProjectLoader $load,
        private ClockInterface $clock,
    ) {
    }

    /** @param  array<string, mixed>  $input name, width_mm, depth_mm and, if given, x_mm, y_mm, angle_deg, base_mm */
    public function create(Layout $layout, array $input): SectionRow
    {
        $typed = new FormInput($input);
        $right = 0.0;
        foreach ($layout->sections()->get() as $other) {
            $right = max($right, ...array_map(fn (Point $p): float => $p->x, ProjectLoader::section($other)->corners()));
        }
        $new = Section::of($this->uids->next(), 'New', ...[...StartingValues::board(), $right]);
        $section = $this->read($typed, $typed->has('beside') ? $this->beside($layout, $new, $typed) : $new, $layout);
        $this->unlessOver($layout, $section, $typed->has('beside') ? 'beside' : 'x_mm');

        return $this->besideItsField(
            fn (): SectionRow => $this->ledger->record($layout, "{$section->name} added", function (ChangeSet $changes) use (
                $layout,
                $section,
            ): SectionRow {
                $row = new SectionRow(
                    [
                        'uid' => $section->uid,
                        'layout_id' => $layout->id,
                        'rev' => 1,
                        'extra' => '{}',
                        'position' => (int) $layout->sections()->max('position') + 1,
                    ] + self::columns($section),
                );
                $changes->save($row);

                return $row;
            }),
        );
    }

    /** @param  array<string, mixed>  $input as above, rev, and `leave_land` to keep the land where it is */
    public function change(Layout $layout, SectionRow $row, array $input): void
    {
        $old = ProjectLoader::section($row);
        $section = $this->carried($layout, $old, $this->read(new FormInput($input), $old, $layout));
        if ($old->placement != $section->placement || $old->width < $section->width || $old->depth < $section->depth) {
            $this->unlessOver($layout, $section, $old->placement == $section->placement ? 'width_mm' : 'x_mm');
        }
        $this->save($layout, $row, $old, $section, "{$section->name} changed", empty($input['leave_land']));
    }

    /**
     * Moved and turned about its middle: against the edge of another board, and in line with it, where it nearly is.
     *
     * @param  array<string, mixed>  $input dx, dy (mm in the layout), turn (degrees, counter-clockwise), snap (0: just as told)
     */
    public function place(Layout $layout, SectionRow $row, array $input): void
    {
        $typed = new FormInput($input);
        $by = array_map(
            fn (string $of): float => InvalidValue::unlessBetween($typed->number($of, 0.0), -100_000.0, 100_000.0, 'The step', '', 'place'),
            ['dx', 'dy', 'turn'],
        );
        $old = ProjectLoader::section($row);
        $others = $this->others($layout, $old);
        $section = BoardPlace::moved($old, $others, ...[...$by, $typed->text('snap') !== '0']);
        $this->unlessOver($layout, $section, 'place');
        $this->save($layout, $row, $old, $section, $section->name.($by[2] !== 0.0 ? ' turned' : ' moved'), true);
    }

    /** @param  array<string, mixed>  $input room: uid of the one that it is carried into */
    public function carry(Layout $layout, SectionRow $row, array $input): void
    {
        $to = (new FormInput($input))->text('room');
        $room = $layout->rooms()->where('uid', $to)->first() ?? throw new InvalidValue('That room is gone.', 'place');
        $old = ProjectLoader::section($row);
        $section = $this->carried($layout, $old, $old->in($to));
        if ($section->stood !== $old->stood) {
            $name = RoomFile::read(new Values($room->values(), ''), $to)->name;
            $this->save($layout, $row, $old, $section, "{$section->name} carried into {$name}", true);
        }
    }

    /** @param  array<string, mixed>  $input foam_stands: “0,0,300,200,40; …”, from the left, from the front, wide, deep, high */
    public function foam(Layout $layout, SectionRow $row, array $input): void
    {
        $typed = new FormInput($input);
        $old = ProjectLoader::section($row);
        $section = $typed->made(fn (): Section => $old->standing(StandingFoam::all(Tuples::parse(
            $typed->text('foam_stands'),
            ['mm', 'mm', 'mm', 'mm', 'mm'],
            'foam_stands',
            'is no block: from the left, from the front, wide, deep, high; the next after a “;”.',
        ))));
        self::unlessBeside($section->standing, $old->width, $old->depth, 'lies beside the board.', 'foam_stands');
        $this->save($layout, $row, $old, $section, "Foam that stands on {$section->name} noted", false);
    }

    private function save(Layout $layout, SectionRow $row, Section $old, Section $section, string $sentence, bool $carriesLand): void
    {
        $this->besideItsField(
            fn () => $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use (
                $layout,
                $row,
                $old,
                $section,
                $carriesLand,
            ): void {
                $row->fill(self::columns($section));
                $changes->save($row);
                if ($old->placement != $section->placement && $carriesLand) {
                    $this->carryLand($layout, $changes, $old, $section);
                }
            }),
        );
    }

    /** A new board of the size of the one it goes on from, unless another is typed. */
    private function beside(Layout $layout, Section $new, FormInput $typed): Section
    {
        $row = $layout->sections()->where('uid', $typed->text('beside'))->first() ??
            throw new InvalidValue('That board is gone.', 'beside');
        $board = ProjectLoader::section($row);
        $edge = InvalidValue::unlessOneOf(BoardEdge::class, $typed->text('edge'), 'beside');
        $width = $typed->length('width_mm', $board->width, $board->width);
        $depth = $typed->length('depth_mm', $board->depth, $board->depth);
        $place = BoardPlace::beside($board, $edge, $width, $depth);

        $names = $layout->sections()->pluck('name')->all();
        for ($n = count($names) + 1; in_array("Board {$n}", $names, true); $n++) {
            continue;
        }

        return Section::of($new->uid, "Board {$n}", $board->width, $board->depth, $place->x, $place->y, $place->angleDeg, $board->base);
    }

    /**
     * @param  array<StandingFoam>  $blocks
     *
     * @throws InvalidValue where one of them has nothing of a board of this size under it
     */
    private static function unlessBeside(array $blocks, float $width, float $depth, string $words, string $field): void
    {
        foreach ($blocks as $block) {
            if (! $block->liesOn($width, $depth)) {
                $place = Format::length($block->x).' from the left, '.Format::length($block->y).' from the front';
                throw new InvalidValue("The block of foam {$place} {$words}", $field);
            }
        }
    }

    /** @return list<Section> the boards of a layout but one */
    private function others(Layout $layout, Section $but): array
    {
        $rows = $layout->sections()->where('uid', '<>', $but->uid)->get();

        return array_values($rows->map(fn (SectionRow $row): Section => ProjectLoader::section($row))->all());
    }

    /** @throws InvalidValue */
    private function unlessOver(Layout $layout, Section $section, string $field): void
    {
        $over = BoardPlace::over($section, $this->others($layout, $section));
        if ($over !== null) {
            throw new InvalidValue("{$section->name} would lie over {$over->name}.", $field);
        }
    }

    /** What dries on a board that is carried into another room has dried in the old one until now. */
    private function carried(Layout $layout, Section $old, Section $section): Section
    {
        $first = $layout->rooms()->orderBy('position')->first()?->uid;
        $from = $old->room ?? $first;

        return $from === null || $from === ($section->room ?? $first)
            ? $section
            : $section->carried($section->room, $from, intdiv($this->clock->now()->getTimestamp(), 60));
    }

    public function remove(Layout $layout, SectionRow $row): void
    {
        $works = $this->load->works($layout);
        $zones = array_keys($works->zonesOf($row->uid));
        $coats = array_map(
            fn (Coat $c): string => $c->uid,
            array_filter($works->coats, fn (Coat $c): bool => in_array($c->zone, $zones, true)),
        );
        $laid = array_map(
            fn (CoatApplication $l): string => $l->uid,
            $works->laidOn($row->uid),
        );
        $stands = array_map(fn (Stand $s): string => $s->uid, $works->growth->standsOn($row->uid));
        $mirrors = array_map(fn (Mirror $m): string => $m->uid, $works->waters->mirrorsOn($row->uid));
        $this->ledger->record($layout, "{$row->name} removed", function (ChangeSet $changes) use (
            $layout,
            $row,
            $zones,
            $coats,
            $laid,
            $stands,
            $mirrors,
        ): void {
            foreach (
                [
                    [$layout->coats(), $coats],
                    [$layout->applications(), $laid],
                    [$layout->stands(), $stands],
                    [$layout->mirrors(), $mirrors],
                    [$layout->zones(), $zones],
                ] as [$rows, $uids]
            ) {
                foreach ($rows->whereIn('uid', $uids)->get() as $gone) {
                    $changes->delete($gone);
                }
            }
            $changes->delete($row);
        });
    }

    /** @return array<string, mixed> */
    public static function columns(Section $section): array
    {
        return [
            'name' => $section->name,
            'width_mm' => $section->width,
            'depth_mm' => $section->depth,
            'x_mm' => $section->placement->x,
            'y_mm' => $section->placement->y,
            'angle_deg' => $section->placement->angleDeg,
            'base_mm' => $section->base,
            'typed' => $section->typed,
            'room' => $section->room,
            'edges' => $section->edges,
            'runs_on' => $section->runsOn,
            'stood' => WorksFile::fromStood($section->stood),
            'foam_stands' => StockFile::fromStanding($section->standing),
        ];
    }

    /**
     * What the board would do to a zone is said beside its size.
     *
     * @template T
     *
     * @param  callable(): T  $record
     * @return T
     */
    private function besideItsField(callable $record): mixed
    {
        try {
            return $record();
        } catch (InvalidValues $faults) {
            throw new InvalidValues(
                array_map(
                    fn (InvalidValue $r): InvalidValue => new InvalidValue(
                        $r->getMessage(),
                        in_array($r->place, self::FIELDS, true) ? $r->place : ($r->place === '/sections' ? 'name' : 'width_mm'),
                    ),
                    $faults->all,
                ),
            );
        }
    }

    /** A board that nobody put anywhere stands in the first room, and stays so while that is what is shown. */
    private function room(Layout $layout, string $typed, Section $old): ?string
    {
        $first = $layout->rooms()->orderBy('position')->first()?->uid;

        return $typed === '' || ($old->room === null && $typed === $first) ? null : $typed;
    }

    private function read(FormInput $typed, Section $old, Layout $layout): Section
    {
        $p = $old->placement;
        [$width, $depth] = [$typed->length('width_mm', $old->width, $old->width), $typed->length('depth_mm', $old->depth, $old->depth)];
        [$x, $y] = [$typed->length('x_mm', $p->x, $p->x), $typed->length('y_mm', $p->y, $p->y)];
        $angle = $typed->number('angle_deg', $p->angleDeg);
        $base = $typed->length('base_mm', $old->base, $old->base);

        $stands = array_filter($old->standing, fn (StandingFoam $b): bool => $b->liesOn($old->width, $old->depth));
        foreach ([['width_mm', $width, $old->depth], ['depth_mm', $width, $depth]] as [$field, $wide, $deep]) {
            $words = 'would lie beside the board: take it off first, under Cuts, “Frame, weight”.';
            self::unlessBeside($stands, $wide, $deep, $words, $field);
        }
        $runsOn = $typed->has('runs_on') ? $typed->text('runs_on') === '1' : $old->runsOn;

        return $typed->made(
            fn (): Section => Section::of(
                $old->uid,
                $typed->text('name', $old->name),
                $width,
                $depth,
                $x,
                $y,
                $angle,
                $base,
                $typed->kept() + $old->typed,
                $old->extra,
                $typed->has('room') ? $this->room($layout, $typed->text('room'), $old) : $old->room,
                $this->edges($old, $width, $depth),
                $runsOn,
                $old->stood,
                $old->standing,
            ),
        );
    }

    /**
     * What is fixed along an edge stays, as far as the edge still goes.
     *
     * @return array<string, list<array{float, float}>>
     */
    private function edges(Section $old, float $width, float $depth): array
    {
        $edges = [];
        foreach ($old->edges as $edge => $profile) {
            $length = BoardEdge::from($edge)->length($width, $depth);
            $edges[$edge] = array_values(array_filter($profile, fn (array $p): bool => $p[0] <= $length)) ?: [[0.0, $profile[0][1]]];
        }

        return $edges;
    }

    /** Spots and lines that lie wholly on the board, and runs that begin on it: each from where it stands by now. */
    private function carryLand(Layout $layout, ChangeSet $changes, Section $from, Section $to): void
    {
        $move = fn (float $x, float $y): Point => $to->placement->toLayout($from->placement->toSection(new Point($x, $y)));
        foreach ($layout->features()->get() as $feature) {
            /** @var LandFeature $feature */
            $off = array_filter($feature->points, fn (array $p): bool => ! $from->holds((float) $p['x_mm'], (float) $p['y_mm'], 0.5));
            if ($off === []) {
                $feature->points = array_map(function (array $p) use ($move): array {
                    $there = $move((float) $p['x_mm'], (float) $p['y_mm']);

                    return ['x_mm' => $there->x, 'y_mm' => $there->y, 'z_mm' => $p['z_mm']];
                }, $feature->points);
                $changes->add($feature);
            }
        }
        foreach ([[$layout->zones(), 'outline', 1], [$layout->applications(), 'rings', 2]] as [$rows, $key, $depth]) {
            foreach ($rows->get() as $row) {
                $values = (array) $row->values();
                if ($values['section'] === $to->uid && isset($values[$key])) {
                    $rings = $depth === 1 ? [$values[$key]] : $values[$key];
                    $moved = CoatApplication::moved($rings, fn (Point $p): Point => $move($p->x, $p->y));
                    $changes->add($row->keep([$key => $depth === 1 ? $moved[0] : $moved] + $values));
                }
            }
        }
        $this->carryGrowth($layout, $changes, $from, $to, $move);
        foreach ($layout->runs()->get() as $run) {
            /** @var Run $run */
            if ($from->holds($run->x_mm, $run->y_mm, 0.5)) {
                $there = $move($run->x_mm, $run->y_mm);
                $run->fill([
                    'x_mm' => $there->x,
                    'y_mm' => $there->y,
                    'heading_deg' => $run->heading_deg + $to->placement->angleDeg - $from->placement->angleDeg,
                ]);
                $changes->add($run);
            }
        }
    }

    /**
     * Trees of its stands and its mirrors go with a board, and rows along lines that are drawn on it.
     *
     * @param  callable(float, float): Point  $move
     */
    private function carryGrowth(Layout $layout, ChangeSet $changes, Section $from, Section $to, callable $move): void
    {
        $carried = function (array $p) use ($move): array {
            $there = $move((float) $p[0], (float) $p[1]);

            return [$there->x, $there->y, ...array_slice($p, 2)];
        };
        foreach ($layout->stands()->get() as $row) {
            $values = (array) $row->values();
            if ($values['section'] === $to->uid) {
                $changes->add($row->keep(['trees' => array_map($carried, $values['trees'] ?? [])] + $values));
            }
        }
        foreach ($layout->mirrors()->get() as $row) {
            $values = (array) $row->values();
            if ($values['section'] === $to->uid) {
                [$x, $y] = $carried([$values['x_mm'], $values['y_mm']]);
                $turn = $to->placement->angleDeg - $from->placement->angleDeg;
                $changes->add($row->keep(
                    ['x_mm' => $x, 'y_mm' => $y, 'facing_deg' => fmod((float) $values['facing_deg'] + $turn, 360.0)] + $values,
                ));
            }
        }
        foreach ($layout->linesideRows()->get() as $row) {
            $values = (array) $row->values();
            $points = $values['points'] ?? [];
            $off = array_filter($points, fn (array $p): bool => ! $from->holds((float) $p[0], (float) $p[1], 0.5));
            if ($points !== [] && $off === []) {
                $changes->add($row->keep(['points' => array_map($carried, $points)] + $values));
            }
        }
    }
}
