<?php

declare(strict_types=1);

namespace App\Actions\Coats;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Models\Coat as CoatRow;
use App\Models\Layout;
use App\Models\Zone as ZoneRow;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\CoatPieces;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;

/** Puts coats onto zones, changes their thickness, share and passes, moves and removes them. What was begun stays. */
final readonly class SaveCoat
{
    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private Library $library,
        private WayInput $ways,
        private CoatRows $coats,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input recipe, `all:` and a build-up, or `school:` and a school
     * @return CoatRow the last of them
     */
    public function create(Layout $layout, ZoneRow $zone, array $input): CoatRow
    {
        $typed = new FormInput($input);
        $word = $typed->text('recipe');
        $library = $this->load->of($layout)->library($this->library);
        $ids = str_starts_with($word, 'all:') ? $this->library->buildUps[substr($word, 4)]['recipes'] ?? [] : [$word];
        $school = str_starts_with($word, 'school:')
            ? $library->schools[substr($word, 7)] ?? throw new InvalidValue('There is no such school.', 'recipe')
            : null;
        $coats = $typed->made(
            fn (): array => $school !== null
                ? $school->coats($zone->uid, $this->rows->uid(...), $library)
                : array_map(fn (string $id): Coat => new Coat($this->rows->uid(), $zone->uid, $library->laid($id)), $ids),
        );
        if ($coats === []) {
            throw new InvalidValue('There is no such build-up.', 'recipe');
        }

        return $this->ledger->record(
            $layout,
            $school !== null ? $school->name : (count($coats) === 1 ? "{$coats[0]->title()} added" : 'A build-up added'),
            fn (ChangeSet $changes): CoatRow => $this->coats->add(
                $changes,
                $layout,
                $this->load->works($layout)->coatsOf($zone->uid),
                $coats,
            ),
        );
    }

    /** @param  array<string, mixed>  $input mm, share (%), passes, name, blend_mm, minutes a pass, colour, rev */
    public function change(Layout $layout, CoatRow $row, array $input): void
    {
        $old = $this->find($layout, $row);
        $typed = new FormInput($input);
        $mm = $typed->length('mm', $old->mm, $old->mm);
        $share = $typed->number('share', 100.0 * $old->share);
        $passes = $typed->number('passes', (float) $old->passes);
        $blend = $typed->has('blend_mm')
            ? ($typed->text('blend_mm') === ''
                ? 0.0
                : $typed->length('blend_mm', $old->blend, $old->blend))
            : $old->blend;
        $minutes = $typed->has('minutes') ? ($typed->text('minutes') === '' ? null : $typed->number('minutes')) : $old->minutes;
        $way = $typed->has('way') ? $this->ways->way($typed, 'way') : $old->way;
        $library = $this->load->of($layout)->library($this->library);
        $colour = $typed->has('colour') ? ($typed->text('colour') ?: null) : $old->colour;
        $coat = $typed->made(
            fn (): Coat => new Coat(
                $old->uid,
                $old->zone,
                $way === $old->way ? $old->recipe : $library->laid($old->recipe->base(), $way),
                $mm,
                $share / 100.0,
                (int) $passes,
                $typed->text('name', $old->name),
                $old->extra,
                $minutes,
                $colour,
                $blend,
                $way,
                $typed->has('pieces') ? $this->pieces($typed) : $old->pieces,
            ),
        );
        $values = WorksFile::fromCoat($coat);
        $this->ledger->record($layout, "{$coat->title()} changed", function (ChangeSet $changes) use (
            $layout,
            $row,
            $values,
            $way,
            $old,
        ): void {
            if ($way !== $old->way && $this->isBegun($layout, $old->uid)) {
                throw new InvalidValue(
                    "{$old->title()} was begun: it goes on as it is held. Strip it first to hold it otherwise.",
                    'way.order',
                );
            }
            $changes->save($row->keep($values));
        });
    }

    private function pieces(FormInput $typed): CoatPieces
    {
        $sizes = fn (string $field): array => $typed->amounts($field, 'mm', ',;×x');
        $piece = $sizes('pieces.piece');

        return new CoatPieces(
            $sizes('pieces.stones'),
            $typed->text('pieces.stripe') === '' ? 0.0 : $typed->length('pieces.stripe'),
            match (count($piece)) {
                0 => null,
                2 => [$piece[0], $piece[1]],
                default => throw new InvalidValue('A piece is so wide and so high: two sizes.', 'pieces/piece'),
            },
            $typed->text('pieces.joint') === '' ? 0.0 : 1000.0 * $typed->amount('pieces.joint', 'm'),
        );
    }

    /** Moves a coat one place down or up on its zone. */
    public function move(Layout $layout, CoatRow $row, int $by): void
    {
        $coat = $this->find($layout, $row);
        $this->ledger->record($layout, "{$coat->title()} moved", function (ChangeSet $changes) use ($layout, $coat, $by): void {
            $order = array_column($this->load->works($layout)->coatsOf($coat->zone), 'uid');
            $at = (int) array_search($coat->uid, $order, true);
            $to = $at + ($by > 0 ? 1 : -1);
            if (! isset($order[$to])) {
                throw new InvalidValue("{$coat->title()} is ".($by > 0 ? 'the last' : 'the first').' of its zone already.', 'coat');
            }
            [$order[$at], $order[$to]] = [$order[$to], $order[$at]];
            $this->coats->order($changes, $layout, array_values($order));
        });
    }

    /** @throws InvalidValue when it was begun */
    public function remove(Layout $layout, CoatRow $row): void
    {
        $coat = $this->find($layout, $row);
        if ($this->isBegun($layout, $row->uid)) {
            throw new InvalidValue("{$coat->title()} was begun: it stays as it is. Undo the work first.", 'coat');
        }
        $this->ledger->record($layout, "{$coat->title()} removed", fn (ChangeSet $changes) => $changes->delete($row));
    }

    private function isBegun(Layout $layout, string $coat): bool
    {
        return array_filter($this->load->works($layout)->laid, fn (CoatApplication $l): bool => $l->coat === $coat) !== [];
    }

    private function find(Layout $layout, CoatRow $row): Coat
    {
        return array_values(array_filter($this->load->works($layout)->coats, fn (Coat $c): bool => $c->uid === $row->uid))[0];
    }
}
