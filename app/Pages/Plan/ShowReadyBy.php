<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\FormInput;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Rail\ShowRail;
use DateTimeImmutable;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\PackingList;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Plan\ReadyBy;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use Psr\Clock\ClockInterface;

/** What can be finished by a moment and left safe; and for a visit what has to be packed for it. */
final readonly class ShowReadyBy
{
    /** What must be there besides what is used up. */
    private const ALWAYS = [
        'this list and the reference pictures',
        'pencil, rule, square',
        'knife with fresh blades',
        'bin bags, kitchen paper',
        'covers for what dries',
    ];

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ShowRail $rail,
        private ClockInterface $clock,
    ) {
    }

    /** @return array<string, mixed> for the view drying.by */
    public function of(Layout $layout, string $date): array
    {
        $work = $this->work($layout);
        $fault = null;
        $end = null;
        try {
            $typed = new FormInput(['by' => $date]);
            $day = $typed->day('by', $this->clock->now());
            $typed->made(fn (): bool => true);
            if ($day !== '' && preg_match('/^\d{4}-\d{2}-\d{2}$/', $day) !== 1) {
                throw new InvalidValue("“{$date}” is not a date; type it as 18 Oct.", 'day');
            }
            $end = $day === '' ? null : (new DateTimeImmutable($day, $work->zone()))->modify('+1 day');
        } catch (InvalidValues|InvalidValue $refused) {
            $fault = $refused->getMessage();
        }
        $end ??= (new DateTimeImmutable('@'.$work->now * 60))
            ->setTimezone($work->zone())
            ->modify('sunday this week')
            ->setTime(0, 0)
            ->modify('+1 day');

        return ['typed' => $date, 'fault' => $fault] + $this->page($layout, $work, intdiv($end->getTimestamp(), 60));
    }

    /** @return array<string, mixed> for the view drying.visit */
    public function visit(Layout $layout, string $uid): array
    {
        $work = $this->work($layout);
        $visit =
            array_values(
                array_filter(
                    $work->project->works->times,
                    fn (BenchTime $t): bool => $t->uid === $uid && in_array($t->kind, [BenchTimeKind::Visit, BenchTimeKind::Single], true),
                ),
            )[0] ?? abort(404);
        $zone = $work->zone();
        $from = intdiv((new DateTimeImmutable((string) $visit->date, $zone))->getTimestamp(), 60);
        $to = intdiv((new DateTimeImmutable($visit->until ?? (string) $visit->date, $zone))->modify('+1 day')->getTimestamp(), 60);
        $plan = $this->desk->planOf($work->project, $work->now);
        $moves = $plan->within($from, $to);
        $kit = PackingList::of($moves);

        $left = [];
        foreach ($plan->moves as $placed) {
            if ($placed->end <= $to) {
                $left[] = ReadyBy::left($plan, $placed, $to);
            }
        }

        return [
            'still' => array_values(array_filter($left, fn (array $m): bool => $m['state'] !== 'dry through')),
            'visit' => $visit,
            'kit' => $kit,
            'always' => self::ALWAYS,
            'planned' => array_map(
                fn (PlacedMove $p): array => [
                    'when' => (new ClockWords($zone, $work->now))->at($p->start)->format('D H:i'),
                    'placed' => $p,
                ],
                $moves,
            ),
        ] + $this->page($layout, $work, $to);
    }

    private function work(Layout $layout): BenchWork
    {
        return $this->desk->work($this->load->of($layout), $this->desk->minute());
    }

    /** @return array<string, mixed> */
    private function page(Layout $layout, BenchWork $work, int $end): array
    {
        $by = ReadyBy::of($work, $end);
        $words = new ClockWords($work->zone(), $work->now);

        return [
            'layout' => $layout,
            'first' => $work->project->sections[0] ?? null,
            'rail' => $this->rail->of($work->project, null, $work),
            'words' => $words,
            'by' => $by,
            'day' => $words->at($end - 60)->format('l j F'),
            'minutes' => PlacedMove::sum(array_column($by->moves, 'placed')),
        ];
    }
}
