<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Models\BenchSession;
use App\Models\Coat as CoatRow;
use App\Models\JsonRecord;
use App\Models\Layout;
use App\Models\Room as RoomRow;
use DateTimeImmutable;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Interchange\RoomFile;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Plan\WhatIf;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Psr\Clock\ClockInterface;

/** What a form asks to be tried: the layout with that changed, and, when it is liked, the same kept. */
final readonly class SaveWhatIf
{
    public function __construct(
        private Library $library,
        private NewRows $rows,
        private ClockInterface $clock,
        private ProjectLoader $load,
        private Ledger $ledger,
    ) {
    }

    /**
     * @return array{Project, list<string>} the layout as it would be, and what was changed in words
     *
     * @throws InvalidValue|InvalidValues naming the field
     */
    public function of(Project $project, FormInput $typed): array
    {
        $said = [];
        $room = $typed->text('room') ?: $project->works->rooms[0]->uid ?? '';
        $name = array_values(array_filter($project->works->rooms, fn (Room $r): bool => $r->uid === $room))[0]->name ?? 'the room';
        if ($typed->text('heater') !== '') {
            $celsius = $typed->amount('heater', '°C');
            $typed->made(fn (): bool => true);
            $project = WhatIf::warmer($project, $room, $celsius, $this->minute());
            $said[] = "{$name} kept at ".Format::text($celsius, '°C', 1);
        }
        $flow = Climate::AIRFLOW_FACTORS[$typed->text('airflow')] ?? null;
        if ($flow !== null) {
            $project = WhatIf::airflow($project, $room, $flow, $this->minute());
            $said[] = $typed->text('airflow') === 'fan' ? "a fan in {$name}" : "{$typed->text('airflow')} air in {$name}";
        }
        if ($typed->text('date') !== '') {
            $time = $this->session($typed);
            $project = WhatIf::session($project, $time);
            $said[] = 'one more session on '.(new DateTimeImmutable((string) $time->date))->format('D j M');
        }
        if ((int) $typed->text('hands', '1') > 1) {
            $project = WhatIf::hands($project, (int) $typed->text('hands'));
            $said[] = "{$typed->text('hands')} pairs of hands";
        }
        $library = $project->library($this->library);
        $school = $library->schools[$typed->text('school')] ?? null;
        if ($school !== null && $typed->text('zone') !== '') {
            $project = WhatIf::school($project, $typed->text('zone'), $school, $this->rows->uid(...), $library);
            $said[] = lcfirst($school->name).' there';
        }
        if ($typed->text('fewer') !== '') {
            $project = WhatIf::fewer($project, $typed->text('fewer'));
            $said[] = 'one coat fewer';
        }

        return [$project, $said];
    }

    private function minute(): int
    {
        return intdiv($this->clock->now()->getTimestamp(), 60);
    }

    private function session(FormInput $typed): BenchTime
    {
        [$from, $to, $date] = [$typed->clock('from'), $typed->clock('to'), $typed->day('date', $this->clock->now())];

        return $typed->made(fn (): BenchTime => new BenchTime($this->rows->uid(), BenchTimeKind::Single, null, $date, $from, $to));
    }

    /**
     * Keeps what was tried, in one step that can be undone.
     *
     * @param  array<string, mixed>  $input as `of` reads it
     *
     * @throws InvalidValue when nothing was asked for
     */
    public function keep(Layout $layout, array $input): void
    {
        [$changed, $said] = $this->of($this->load->of($layout), new FormInput($input));
        if ($said === []) {
            throw new InvalidValue('Nothing was changed that could be kept.', 'form');
        }
        $this->ledger->record($layout, ucfirst(implode(', ', $said)), function (ChangeSet $changes) use ($layout, $changed): void {
            $this->keepRows(
                $changes,
                $layout,
                RoomRow::class,
                $layout->rooms(),
                array_map(RoomFile::from(...), $changed->works->rooms),
            );
            $this->keepRows(
                $changes,
                $layout,
                BenchSession::class,
                $layout->benchSessions(),
                array_map(WorksFile::fromTime(...), $changed->works->times),
            );
            $this->keepRows(
                $changes,
                $layout,
                CoatRow::class,
                $layout->coats(),
                array_map(WorksFile::fromCoat(...), $changed->works->coats),
            );
        });
    }

    /**
     * Rows as records have them: those that are gone go, new ones come, others change.
     *
     * @template T of JsonRecord
     *
     * @param  class-string<T>  $model
     * @param  HasMany<T, Layout>  $rows
     * @param  list<array<string, mixed>>  $records
     */
    private function keepRows(ChangeSet $changes, Layout $layout, string $model, HasMany $rows, array $records): void
    {
        $old = $rows->get()->keyBy('uid');
        foreach ($records as $record) {
            $row = $old->pull($record['uid']);
            if ($row === null) {
                $this->rows->add($changes, $layout, $model, $record);
            } elseif (json_decode($row->data, true) != json_decode(JsonRecord::text($record), true)) {
                $changes->save($row->keep($record));
            }
        }
        foreach ($old as $row) {
            $changes->delete($row);
        }
    }
}
