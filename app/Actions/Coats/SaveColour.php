<?php

declare(strict_types=1);

namespace App\Actions\Coats;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\Library\LibraryFiles;
use App\Computed\ProjectLoader;
use App\Models\Colour as ColourRow;
use App\Models\Layout;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Colour;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;

/** Mixes colours into a layout's palette. */
final readonly class SaveColour
{
    public function __construct(private Ledger $ledger, private NewRows $rows, private ProjectLoader $load)
    {
    }

    /**
     * @param  array<string, mixed>  $input name, season, mix[k][base], mix[k][parts], rev
     * @return string its uid
     */
    public function keep(Layout $layout, ?ColourRow $row, array $input): string
    {
        $typed = new FormInput($input);
        $mix = [];
        foreach (array_keys($typed->list('mix')) as $k) {
            $base = $typed->text("mix.{$k}.base");
            if ($base === '' || $typed->text("mix.{$k}.parts") === '') {
                continue;
            }
            if (! isset(LibraryFiles::basePaints()[$base])) {
                $typed->fault("There is no base paint “{$base}”.", "mix/{$k}/base");
            }
            $mix[] = ['base' => $base, 'parts' => $typed->number("mix.{$k}.parts")];
        }
        $uid = $row === null ? $this->rows->uid() : $row->uid;
        $colours = $this->load->works($layout)->colours;
        $colour = $typed->made(fn (): Colour => $this->made($typed, $uid, $mix, $colours));
        $this->ledger->record($layout, "{$colour->name} mixed", function (ChangeSet $changes) use ($layout, $row, $colour): void {
            $values = WorksFile::fromColour($colour);
            $row === null ? $this->rows->add($changes, $layout, ColourRow::class, $values) : $changes->save($row->keep($values));
            $this->follow($changes, $layout, $colour);
        });

        return $uid;
    }

    /**
     * @param  list<array{base: string, parts: float}>  $mix
     * @param  list<Colour>  $colours
     */
    private function made(FormInput $typed, string $uid, array $mix, array $colours): Colour
    {
        $of = $typed->text('tied.of');
        if ($of === '') {
            return new Colour($uid, $typed->text('name'), $mix, $typed->text('season'));
        }
        $base =
            array_values(array_filter($colours, fn (Colour $c): bool => $c->uid === $of && $c->uid !== $uid))[0] ??
            throw new InvalidValue('There is no such colour to be a shade of.', 'tied/of');
        if (array_filter($colours, fn (Colour $c): bool => ($c->tied['of'] ?? '') === $uid) !== []) {
            throw new InvalidValue('It has shades of its own: those would hang in the air.', 'tied/of');
        }
        if ($base->tied !== null) {
            throw new InvalidValue("{$base->name} is a shade itself: take the colour it is of.", 'tied/of');
        }
        $paint = $typed->text('tied.base');
        if (! isset(LibraryFiles::basePaints()[$paint])) {
            throw new InvalidValue('A shade is made with a base paint.', 'tied/base');
        }

        return Colour::shadeOf($base, $uid, $typed->text('name'), $paint, $typed->number('tied.parts'), $typed->text('season'));
    }

    /** Shades of a colour are mixed anew with it. */
    private function follow(ChangeSet $changes, Layout $layout, Colour $colour): void
    {
        foreach ($this->load->works($layout)->colours as $shade) {
            if (($shade->tied['of'] ?? '') === $colour->uid) {
                $row = $layout->colours()->where('uid', $shade->uid)->firstOrFail();
                $changes->add($row->keep(WorksFile::fromColour($shade->after($colour))));
            }
        }
    }

    /** @throws InvalidValue when a coat has it */
    public function remove(Layout $layout, ColourRow $row): void
    {
        $tied = array_filter($this->load->works($layout)->colours, fn (Colour $c): bool => ($c->tied['of'] ?? '') === $row->uid);
        $shade = array_values($tied)[0] ?? null;
        if ($shade !== null) {
            throw new InvalidValue("{$shade->name} is a shade of it. Mix that on its own first.", 'colour');
        }
        $coat = array_values(array_filter($this->load->works($layout)->coats, fn (Coat $c): bool => $c->colour === $row->uid))[0] ?? null;
        if ($coat !== null) {
            throw new InvalidValue("{$coat->title()} has this colour. Give it another first.", 'colour');
        }
        $this->ledger->record($layout, 'A colour removed', fn (ChangeSet $changes) => $changes->delete($row));
    }
}
