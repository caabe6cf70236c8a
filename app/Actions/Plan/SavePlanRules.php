<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Coats\WayInput;
use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Models\BenchSession;
use App\Models\Layout;
use DateTimeZone;
use IdleRidge\Core\Interchange\BenchFile;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use IdleRidge\Core\Schedule\DueDate;
use IdleRidge\Core\Schedule\DueState;
use IdleRidge\Core\Schedule\WorkOrder;
use Psr\Clock\ClockInterface;

/** How the layout is planned: how sure, in which turns, with which tools, by when; busy hours from a calendar; a plan that is taken. */
final readonly class SavePlanRules
{
    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ClockInterface $clock,
        private ImportCalendar $calendars,
        private WayInput $ways,
    ) {
    }

    /** @param  array<string, mixed>  $input certainty (%), order, tools[name], due[section] with date and milestone */
    public function change(Layout $layout, array $input): void
    {
        $old = ProjectLoader::sheet($layout)->bench;
        $typed = new FormInput($input);
        $certainty = $typed->number('certainty', 100.0 * $old->certainty) / 100.0;
        $tools = [];
        foreach (array_keys($typed->list('tools')) as $k) {
            $name = $typed->text("tools.{$k}.name");
            $count = $name === '' ? 1 : (int) $typed->number("tools.{$k}.count", 1.0);
            // One there is of each; only what was said otherwise is kept.
            if ($name !== '' && ($count !== 1 || isset($old->tools[$name]))) {
                $tools[$name] = $count;
            }
        }
        $due = [];
        foreach (array_keys($typed->list('due')) as $k) {
            $date = $typed->day("due.{$k}.date", $this->clock->now());
            if ($date !== '') {
                $due[] = fn (): DueDate => $this->dueDate($typed, $k, $date);
            }
        }
        $ways = $typed->has('ways') ? $this->ways->preferred($typed) : $old->ways;
        $rules = $typed->made(
            fn (): BenchRules => $old->but(
                certainty: round($certainty, 2),
                order: InvalidValue::unlessOneOf(WorkOrder::class, $typed->text('order', $old->order->value), 'order'),
                tools: $typed->has('tools') ? $tools : $old->tools,
                due: $typed->has('due') ? array_map(fn (callable $one): DueDate => $one(), $due) : $old->due,
                ways: $ways,
                alcohol: $typed->has('alcohol') ? $typed->number('alcohol') : $old->alcohol,
            ),
        );
        $this->keep($layout, $rules, 'Planned otherwise');
    }

    /** @throws InvalidValue */
    private function dueDate(FormInput $typed, int|string $k, string $date): DueDate
    {
        try {
            $word = $typed->text("due.{$k}.milestone", DueState::Travel->value);

            return new DueDate(
                $typed->text("due.{$k}.section"),
                $date,
                InvalidValue::unlessOneOf(DueState::class, $word, 'milestone'),
            );
        } catch (InvalidValue $refusal) {
            throw $refusal->within("due/{$k}");
        }
    }

    /** Busy hours of a calendar come in the place of those that came from one of the same name. */
    public function calendar(Layout $layout, string $name, string $text): int
    {
        $zone = new DateTimeZone($layout->zone);
        $hours = $this->calendars->busy($text, $zone, intdiv($this->clock->now()->getTimestamp(), 60), BenchWork::HORIZON_DAYS);
        $name = mb_substr($name, 0, 80);
        $times = array_map(
            fn (array $h): BenchTime => new BenchTime(
                $this->rows->uid(),
                BenchTimeKind::Busy,
                null,
                $h['date'],
                $h['from'],
                $h['to'],
                who: $name,
            ),
            $hours,
        );
        $this->ledger->record($layout, "Busy hours from {$name}", function (ChangeSet $changes) use ($layout, $times, $name): void {
            $this->forgetRows($changes, $layout, $name);
            foreach ($times as $time) {
                $this->rows->add($changes, $layout, BenchSession::class, WorksFile::fromTime($time));
            }
        });

        return count($times);
    }

    public function forget(Layout $layout, string $name): void
    {
        $this->ledger->record($layout, "{$name} left aside", fn (ChangeSet $changes) => $this->forgetRows($changes, $layout, $name));
    }

    /** @param  list<PlacedMove>  $moves in the order of a plan */
    public function take(Layout $layout, array $moves): void
    {
        $this->keep(
            $layout,
            ProjectLoader::sheet($layout)->bench->taking(array_map(fn (PlacedMove $p): string => $p->move->id, $moves)),
            'A better plan taken',
        );
    }

    private function forgetRows(ChangeSet $changes, Layout $layout, string $name): void
    {
        foreach ($layout->benchSessions()->get() as $row) {
            $values = $row->values();
            if (($values->kind ?? '') === 'busy' && ($values->who ?? '') === $name) {
                $changes->delete($row);
            }
        }
    }

    private function keep(Layout $layout, BenchRules $rules, string $sentence): void
    {
        $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use ($layout, $rules): void {
            $layout->bench = BenchFile::fromRules($rules);
            $changes->save($layout);
        });
    }
}
