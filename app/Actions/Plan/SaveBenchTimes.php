<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Models\BenchSession;
use App\Models\Layout;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use Psr\Clock\ClockInterface;

/** Adds and removes bench times, and sets the date of the show. */
final readonly class SaveBenchTimes
{
    public function __construct(private Ledger $ledger, private NewRows $rows, private ClockInterface $clock)
    {
    }

    /** @param  array<string, mixed>  $input kind; weekdays[] or date; from, to, hands, until, who */
    public function add(Layout $layout, array $input): void
    {
        $typed = new FormInput($input);
        $kind = $typed->made(
            fn (): BenchTimeKind => InvalidValue::unlessOneOf(BenchTimeKind::class, $typed->text('kind', 'weekly'), 'kind'),
        );
        $hands = $typed->number('hands', 1.0);
        [$from, $to] = $kind === BenchTimeKind::Closed ? [0, 0] : [$typed->clock('from'), $typed->clock('to')];
        $days = array_map('intval', array_filter($typed->list('weekdays'), 'is_numeric'));
        if ($kind === BenchTimeKind::Weekly && $days === []) {
            $typed->fault('Tick the days on which it is.', 'weekdays');
        }
        $times = $typed->made(
            fn (): array => array_map(
                fn (?int $day): BenchTime => new BenchTime(
                    $this->rows->uid(),
                    $kind,
                    $day,
                    $kind === BenchTimeKind::Weekly ? null : $typed->day('date', $this->clock->now()),
                    $from,
                    $to,
                    (int) $hands,
                    until: $kind->lasts() ? ($typed->day('until', $this->clock->now()) ?: null) : null,
                    who: $typed->text('who'),
                ),
                $kind === BenchTimeKind::Weekly ? array_values($days) : [null],
            ),
        );
        $this->ledger->record(
            $layout,
            $kind === BenchTimeKind::Closed ? 'A day closed' : (count($times) === 1 ? 'A session added' : 'Sessions added'),
            function (ChangeSet $changes) use ($layout, $times): void {
                foreach ($times as $time) {
                    $this->rows->add($changes, $layout, BenchSession::class, WorksFile::fromTime($time));
                }
            },
        );
    }

    public function remove(Layout $layout, BenchSession $row): void
    {
        $this->ledger->record($layout, 'A session removed', fn (ChangeSet $changes) => $changes->delete($row));
    }

    /** @param  array<string, mixed>  $input show_on, empty for none */
    public function show(Layout $layout, array $input): void
    {
        $date = (new FormInput($input))->day('show_on', $this->clock->now());
        $this->ledger->record($layout, $date === '' ? 'No show date' : "Show on {$date}", function (ChangeSet $changes) use (
            $layout,
            $date,
        ): void {
            $layout->show_on = $date === '' ? null : $date;
            ProjectLoader::sheet($layout);
            $changes->save($layout);
        });
    }
}
