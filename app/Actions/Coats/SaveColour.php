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
        $colour = $typed->made(fn (): Colour => new Colour($uid, $typed->text('name'), $mix, $typed->text('season')));
        $values = WorksFile::fromColour($colour);
        $this->ledger->record($layout, "{$colour->name} mixed", function (ChangeSet $changes) use ($layout, $row, $values): void {
            $row === null ? $this->rows->add($changes, $layout, ColourRow::class, $values) : $changes->save($row->keep($values));
        });

        return $uid;
    }

    /** @throws InvalidValue when a coat has it */
    public function remove(Layout $layout, ColourRow $row): void
    {
        $coat = array_values(array_filter($this->load->works($layout)->coats, fn (Coat $c): bool => $c->colour === $row->uid))[0] ?? null;
        if ($coat !== null) {
            throw new InvalidValue("{$coat->title()} has this colour. Give it another first.", 'colour');
        }
        $this->ledger->record($layout, 'A colour removed', fn (ChangeSet $changes) => $changes->delete($row));
    }
}
