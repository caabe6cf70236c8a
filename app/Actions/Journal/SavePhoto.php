<?php

declare(strict_types=1);

namespace App\Actions\Journal;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\Journal\JournalRows;
use App\Computed\Journal\JournalSearch;
use App\Computed\Journal\Pictures;
use App\Computed\Plan\ComputedPlan;
use App\Models\Layout;
use App\Models\Photo as PhotoRow;
use IdleRidge\Core\Interchange\JournalFile;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Journal\PhotoPin;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;

/** Takes pictures, says where they were taken and what they show, pins them, puts them away. */
final readonly class SavePhoto
{
    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private SaveJournal $journal,
        private JournalSearch $search,
        private Pictures $pictures,
        private PictureIntake $intake,
        private ComputedPlan $desk,
    ) {
    }

    /**
     * @param  string  $file where its bytes lie
     * @param  array<string, mixed>  $input entry (uid that it belongs to) or section, zone, caption
     *
     * @throws InvalidValue when it is no picture that can be taken; nothing is done then
     */
    public function add(Layout $layout, string $file, array $input): Photo
    {
        $typed = new FormInput($input);
        $entry = $typed->text('entry') === '' ? null : $this->search->entry($layout, $typed->text('entry'));
        $section = $entry->section ?? $typed->text('section');
        $board = $layout->sections()->where('uid', $section)->value('name') ?? throw new InvalidValue('Of which board is it?', 'section');
        $caption = trim(Words::plain($typed->text('caption')));
        if (mb_strlen($caption) > Photo::MAX_CAPTION) {
            throw new InvalidValue('At most '.Photo::MAX_CAPTION.' characters.', 'caption');
        }
        $zone = $entry->work->zone ?? $typed->text('zone');
        $taken = $this->intake->take($file);

        return $this->ledger->record(
            $layout,
            "A picture of {$board} taken",
            function (ChangeSet $changes) use ($layout, $entry, $section, $board, $zone, $caption, $taken): Photo {
                $told = $entry ?? $this->journal->write(
                    $layout,
                    JournalKind::Photographed,
                    $section,
                    null,
                    $caption === '' ? "Picture of {$board}" : $caption,
                );
                $photo = new Photo(
                    $this->rows->uid(),
                    $this->desk->minute(),
                    $section,
                    $taken['hash'],
                    $taken['width'],
                    $taken['height'],
                    $caption,
                    $told->uid,
                    $zone === '' ? null : $zone,
                );
                $this->pictures->keep($layout, $taken['hash'], $taken['sizes']);
                $this->rows->add($changes, $layout, PhotoRow::class, JournalFile::fromPhoto($photo));

                return $photo;
            },
        );
    }

    /** @param  array<string, mixed>  $input caption, zone, x and y (lengths), heading, pin */
    public function describe(Layout $layout, PhotoRow $row, array $input): void
    {
        $photo = JournalRows::photo($row);
        $typed = new FormInput($input);
        $changed = $typed->made(function () use ($typed, $photo): Photo {
            $place = $photo->place;
            if ($typed->has('x') || $typed->has('y')) {
                $place = $typed->text('x') === '' && $typed->text('y') === ''
                    ? null
                    : [
                        'x' => $typed->length('x', current: $place['x'] ?? null),
                        'y' => $typed->length('y', current: $place['y'] ?? null),
                        'heading' => $typed->amount('heading', '°', 0.0, $place['heading'] ?? null, 0),
                    ];
            }

            return $photo->but(
                caption: $typed->has('caption') ? Words::plain($typed->text('caption')) : $photo->caption,
                zone: $typed->has('zone') ? ($typed->text('zone') ?: null) : $photo->zone,
                place: $place,
                pin: $typed->has('pin') ? PhotoPin::tryFrom($typed->text('pin')) : $photo->pin,
            );
        });
        $this->keep($layout, $row, 'A picture described', $changed);
    }

    /**
     * What a spot of it shows is read: the colour that is looked for, or the white card.
     *
     * @param  'patch'|'white'  $what
     */
    public function touch(Layout $layout, PhotoRow $row, string $what, float $x, float $y): void
    {
        $photo = JournalRows::photo($row);
        $x = InvalidValue::unlessBetween($x, 0.0, 1.0, 'The touched spot', '', 'x');
        $y = InvalidValue::unlessBetween($y, 0.0, 1.0, 'The touched spot', '', 'y');
        $seen = $this->pictures->spot($layout, $photo, $x, $y) ?? throw new InvalidValue('The picture itself is not here.', $what);
        $spot = ['x' => round($x, 4), 'y' => round($y, 4), 'hex' => $seen->toHex()];
        $this->keep($layout, $row, 'A spot of a picture touched', $photo->but(...[$what => $spot]));
    }

    public function clear(Layout $layout, PhotoRow $row): void
    {
        $this->keep($layout, $row, 'The touched spots taken off', JournalRows::photo($row)->but(patch: null, white: null));
    }

    public function putAway(Layout $layout, PhotoRow $row): void
    {
        $this->ledger->record($layout, 'A picture put away', fn (ChangeSet $changes) => $changes->delete($row));
    }

    private function keep(Layout $layout, PhotoRow $row, string $sentence, Photo $photo): void
    {
        $this->ledger->record($layout, $sentence, fn (ChangeSet $changes) => $changes->save($row->keep(JournalFile::fromPhoto($photo))));
    }
}
