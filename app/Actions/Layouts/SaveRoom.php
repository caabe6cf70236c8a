<?php

declare(strict_types=1);

namespace App\Actions\Layouts;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Devices\HttpRoomLogger;
use App\Models\Layout;
use App\Models\Room as RoomRow;
use App\Models\TrustedLogger;
use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Interchange\Record as Values;
use IdleRidge\Core\Interchange\RoomFile;
use IdleRidge\Core\Measure\InvalidValue;
use Psr\Clock\ClockInterface;

/** The rooms in which sections stand and dry. */
final readonly class SaveRoom
{
    public function __construct(private Ledger $ledger, private NewRows $rows, private ClockInterface $clock)
    {
    }

    /**
     * @param  array<string, mixed>  $input name, day_c, night_c, day_rh, night_rh, airflow, day_from, day_to, volume_m3, air_changes,
     *     logger
     */
    public function create(Layout $layout, array $input): void
    {
        $room = $this->read($input, Room::standard($this->rows->uid(), 'Room '.($layout->rooms()->count() + 1)));
        $this->ledger->record(
            $layout,
            "{$room->name} added",
            fn (ChangeSet $changes) => $this->rows->add($changes, $layout, RoomRow::class, RoomFile::from($room)),
        );
        $this->trust($layout, $room, $input);
    }

    /**
     * An address that was typed may be called.
     *
     * @param  array<string, mixed>  $input
     */
    private function trust(Layout $layout, Room $room, array $input): void
    {
        if (isset($input['logger']) && $room->logger !== '') {
            TrustedLogger::query()->firstOrCreate(['layout_id' => $layout->id, 'room' => $room->uid, 'address' => $room->logger]);
        }
    }

    /** @param  array<string, mixed>  $input as above, rev, and `always` where it was always so */
    public function change(Layout $layout, RoomRow $row, array $input): void
    {
        $old = RoomFile::read(new Values($row->values(), ''), $row->uid);
        // What is set holds from now on, unless the past is corrected in so many words.
        $room = empty($input['always'])
            ? $this->read($input, $old)->after($old, intdiv($this->clock->now()->getTimestamp(), 60))
            : $this->read($input, $old);
        $values = RoomFile::from($room);
        $this->ledger->record(
            $layout,
            empty($input['always']) ? "{$room->name} changed" : "{$room->name} corrected, the past too",
            fn (ChangeSet $changes) => $changes->save($row->keep($values)),
        );
        $this->trust($layout, $room, $input);
    }

    /** @throws InvalidValue while a section stands in it, or it is the last */
    public function remove(Layout $layout, RoomRow $row): void
    {
        if ($layout->rooms()->count() < 2) {
            throw new InvalidValue('Sections have to stand somewhere: change this room instead.', 'name');
        }
        // Boards that nobody put anywhere stand in the first room.
        $isFirst = $layout->rooms()->orderBy('position')->first()?->uid === $row->uid;
        $stand = $layout->sections()->orderBy('position')
            ->where(fn ($query) => $query->where('room', $row->uid)->when($isFirst, fn ($query) => $query->orWhereNull('room')))
            ->pluck('name')
            ->all();
        if ($stand !== []) {
            throw new InvalidValue(
                implode(', ', $stand).
                    (count($stand) === 1 ? ' stands in it: carry it' : ' stand in it: carry them').
                    ' into another room first.',
                'name',
            );
        }
        $this->ledger->record($layout, 'A room removed', fn (ChangeSet $changes) => $changes->delete($row));
    }

    /** @param  array<string, mixed>  $input */
    private function read(array $input, Room $old): Room
    {
        $typed = new FormInput($input);
        $number = fn (string $field, float $now): float => $typed->amount($field, '', $now, $now, 1);
        $air = [
            $typed->amount('day_c', '°C', $old->day->temperature, $old->day->temperature, 1),
            $typed->amount('night_c', '°C', $old->night->temperature, $old->night->temperature, 1),
            $number('day_rh', $old->day->humidity),
            $number('night_rh', $old->night->humidity),
        ];
        $flow = Climate::AIRFLOW_FACTORS[$typed->text('airflow')] ?? $typed->number('airflow', $old->day->airflow);
        [$from, $to] = [$typed->clock('day_from', $old->dayFrom), $typed->clock('day_to', $old->dayTo)];

        [$volume, $changes] = [$typed->amount('volume_m3', 'm³', $old->volume, $old->volume, 1), $number('air_changes', $old->airChanges)];

        $logger = $typed->text('logger', $old->logger);

        return $typed->made(
            fn (): Room => Room::of(
                $old->uid,
                $typed->text('name', $old->name),
                $air[0],
                $air[1],
                $air[2],
                $air[3],
                $flow,
                $from,
                $to,
                $old->extra,
                $volume,
                $changes,
                $logger === '' ? '' : HttpRoomLogger::allowed($logger),
            ),
        );
    }
}
