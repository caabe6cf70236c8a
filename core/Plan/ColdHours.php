<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

/** When a move may start so that the room stays warm enough for its film to form. */
final class ColdHours
{
    /** @var array<string, list<array{int, int}>> */
    private array $known = [];

    /** @param  list<array{int, int}>  $sessions from `$zero` on */
    public function __construct(
        private readonly BenchWork $work,
        private readonly array $sessions,
        private readonly int $zero,
        private readonly int $step,
    ) {
    }

    /** @return list<array{int, int}>|null ranges of starts; null where any start will do */
    public function allowed(Move $move, int $minutes): ?array
    {
        $cure = $move->recipe->cure;
        $air = $this->work->drying($move->section)->air;
        $room = $air->room;
        if ($cure->filmTemperature === null || $air->coldest() >= $cure->filmTemperature) {
            return null;
        }

        return $this->known[implode('/', [$cure->id, $move->coat->mm, $minutes, $room->uid])] ??= $this->look($move, $minutes);
    }

    /** @return list<array{int, int}> */
    private function look(Move $move, int $minutes): array
    {
        $ranges = [];
        $drying = $this->work->drying($move->section);
        foreach ($this->sessions as [$from, $to]) {
            $open = $last = null;
            $end = $to - $minutes;
            for ($start = $from; $start <= $end; $start = $start === $end ? $end + 1 : min($end, $start + $this->step)) {
                $spoils = $drying->spoils(
                    $move->recipe->cure,
                    $move->coat->mm,
                    $start + $minutes + $this->zero,
                    $this->work->certainty(),
                );
                if (! $spoils) {
                    $open ??= $start;
                    $last = $start;
                } elseif ($open !== null) {
                    $ranges[] = [$open, (int) $last];
                    $open = null;
                }
            }
            if ($open !== null) {
                $ranges[] = [$open, (int) $last];
            }
        }

        return $ranges;
    }
}
