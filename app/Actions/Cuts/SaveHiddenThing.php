<?php

declare(strict_types=1);

namespace App\Actions\Cuts;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Models\HiddenThing as HiddenRow;
use App\Models\Layout;
use IdleRidge\Core\Interchange\JournalFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Tuples;
use IdleRidge\Core\Measure\Words;
use IdleRidge\Core\Project\HiddenKind;
use IdleRidge\Core\Project\HiddenThing;

/** What lies under the land: noted where it is, and put away when it is taken out. */
final readonly class SaveHiddenThing
{
    public function __construct(private Ledger $ledger, private NewRows $rows)
    {
    }

    /** @param  array<string, mixed>  $input kind, name, places (“420 210; 500 210”), bottom, top and wide (lengths) */
    public function add(Layout $layout, string $section, array $input): HiddenThing
    {
        $typed = new FormInput($input);
        $thing = $typed->made(fn (): HiddenThing => new HiddenThing(
            $this->rows->uid(),
            $section,
            InvalidValue::unlessOneOf(HiddenKind::class, $typed->text('kind'), 'kind'),
            array_map(
                fn (array $p): array => [$p[0], $p[1]],
                Tuples::parse(
                    $typed->text('places'),
                    ['mm', 'mm'],
                    'points',
                    'is no place: along and from the front; the next after a “;”.',
                ),
            ),
            $typed->length('bottom'),
            $typed->length('top'),
            $typed->length('wide', 5.0),
            Words::plain($typed->text('name')),
        ));
        $this->ledger->record(
            $layout,
            ucfirst($thing->called()).' noted under the land',
            fn (ChangeSet $changes) => $this->rows->add($changes, $layout, HiddenRow::class, JournalFile::fromHidden($thing)),
        );

        return $thing;
    }

    public function putAway(Layout $layout, HiddenRow $row): void
    {
        $this->ledger->record($layout, 'No longer under the land', fn (ChangeSet $changes) => $changes->delete($row));
    }
}
