<?php

declare(strict_types=1);

namespace App\Actions\Growth;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\LinesideRow;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\GrowthFile;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use IdleRidge\Core\Planting\Gate;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowFigures;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Project\GrowthStudy;
use IdleRidge\Core\Project\Project;

/** Rows along lines: begun with the figures of their kind, changed, put away. One that cannot be set out is refused. */
final readonly class SaveRow
{
    /** As wide as a cart is, and some room, where it is not said, m outdoors. */
    private const GATE_M = 3.6;

    public function __construct(private Ledger $ledger, private NewRows $rows, private ProjectLoader $load)
    {
    }

    /**
     * @param  array<string, mixed>  $input kind, name, along (run:uid, feature:uid, or empty for points), points[] (x, y on the board),
     *     offset (length, to the left), from_edge, from, to (lengths)
     */
    public function add(Layout $layout, string $section, array $input): Row
    {
        $typed = new FormInput($input);
        $project = $this->load->of($layout);
        $row = $typed->made(function () use ($typed, $project, $section): Row {
            $kind = InvalidValue::unlessOneOf(RowKind::class, $typed->text('kind'), 'kind');

            return $this->read(
                $typed,
                new Row($this->rows->uid(), $kind, $kind->figures(), ...$this->along($typed, $project, $section)),
                $project,
            );
        });
        $this->ledger->record(
            $layout,
            "{$row->called()} set out",
            fn (ChangeSet $changes) => $this->rows->add($changes, $layout, LinesideRow::class, GrowthFile::fromRow($row)),
        );

        return $row;
    }

    /**
     * @param  array<string, mixed>  $input as above but for along, and spacing_m, height_m, wide_m, strain_m (outdoors), wires_m
     *     (“0.3 0.6 0.9”), gates (“420 3.6; 900”: place on the row, width outdoors in m), pack (length)
     */
    public function change(Layout $layout, LinesideRow $row, array $input): Row
    {
        $typed = new FormInput($input);
        $project = $this->load->of($layout);
        $old = array_values(array_filter($project->works->growth->rows, fn (Row $r): bool => $r->uid === $row->uid))[0]
            ?? throw new InvalidValue('The row is gone.', 'name');
        $new = $typed->made(fn (): Row => $this->read($typed, $old, $project));
        $this->ledger->record(
            $layout,
            "{$new->called()} changed",
            fn (ChangeSet $changes) => $changes->save($row->keep(GrowthFile::fromRow($new))),
        );

        return $new;
    }

    public function putAway(Layout $layout, LinesideRow $row): void
    {
        $this->ledger->record($layout, 'A row put away', fn (ChangeSet $changes) => $changes->delete($row));
    }

    /**
     * @return array{run?: string, feature?: string, points?: list<array{float, float}>}
     *
     * @throws InvalidValue
     */
    private function along(FormInput $typed, Project $project, string $section): array
    {
        [$of, $uid] = [...explode(':', $typed->text('along'), 2), ''];
        if ($of === 'run' || $of === 'feature') {
            return [$of => $uid];
        }
        $placement = $project->section($section)->placement;
        $points = [];
        foreach (array_keys($typed->list('points')) as $k) {
            $there = $placement->toLayout(new Point($typed->length("points.{$k}.x"), $typed->length("points.{$k}.y")));
            $points[] = [round($there->x, 2), round($there->y, 2)];
        }

        return $points === [] ? throw new InvalidValue('What does it go along? Choose a run or a line, or draw one.', 'along')
            : ['points' => $points];
    }

    /** @throws InvalidValue when it cannot be, or cannot be set out */
    private function read(FormInput $typed, Row $old, Project $project): Row
    {
        $station = fn (string $field, ?float $was): ?float => match (true) {
            ! $typed->has($field) => $was,
            $typed->text($field) === '' => null,
            default => $typed->length($field, current: $was),
        };
        $f = $old->figures;
        $row = $old->but(
            name: Words::plain($typed->text('name', $old->name)),
            figures: new RowFigures(
                $typed->amount('spacing_m', 'm', $f->spacing, $f->spacing, 3),
                $typed->amount('height_m', 'm', $f->height, $f->height, 3),
                $typed->amount('wide_m', 'm', $f->wide, $f->wide, 3),
                $typed->has('wires_m') ? self::wires($typed, $f->wires) : $f->wires,
                $typed->amount('strain_m', 'm', $f->strain, $f->strain, 1),
            ),
            offset: $typed->length('offset', $old->offset, $old->offset),
            fromEdge: $typed->has('from_edge') ? $typed->text('from_edge') === '1' : $old->fromEdge,
            from: $station('from', $old->from),
            to: $station('to', $old->to),
            gates: $typed->has('gates') ? self::gates($typed, $old->gates) : $old->gates,
            pack: $typed->length('pack', $old->pack, $old->pack),
        );
        (new GrowthStudy($project))->set($row);

        return $row;
    }

    /**
     * @param  list<float>  $old
     * @return list<float>
     */
    private static function wires(FormInput $typed, array $old): array
    {
        return $typed->text('wires_m') === self::wiresOf($old)
            ? $old
            : array_column($typed->tuples('wires_m', ['m'], 'is no height of a wire.'), 0);
    }

    /**
     * Heights outdoors as a form shows them: "0.5; 0.9".
     *
     * @param  list<float>  $wires
     */
    public static function wiresOf(array $wires): string
    {
        return implode('; ', array_map(fn (float $m): string => Format::field($m, 'm'), $wires));
    }

    /**
     * @param  list<Gate>  $old
     * @return list<Gate>
     */
    private static function gates(FormInput $typed, array $old): array
    {
        if ($typed->text('gates') === self::gatesOf($old)) {
            return $old;
        }
        $gates = $typed->tuples(
            'gates',
            ['mm', 'm'],
            'is no gate: its place along the row and its width outdoors, with a comma between.',
            1,
        );

        return array_map(fn (array $gate): Gate => new Gate($gate[0], $gate[1] ?? self::GATE_M), $gates);
    }

    /**
     * Places along the row and widths outdoors as a form shows them: "420, 3.6; 900, 3".
     *
     * @param  list<Gate>  $gates
     */
    public static function gatesOf(array $gates): string
    {
        return implode(
            '; ',
            array_map(fn (Gate $g): string => Format::field($g->at, decimals: 1).', '.Format::field($g->wideM, 'm'), $gates),
        );
    }
}
