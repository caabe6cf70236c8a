<?php

declare(strict_types=1);

namespace Tests\Stress;

/** Many writers at once, and the plug pulled on them. */
final class Race
{
    /** @return array<string, int> what came of it: requests by kind of answer, faults, steps undone, rows that differ at the beginning */
    public static function writers(Target $target, int $writers, float $seconds, int $seed): array
    {
        $target->start();
        $before = Ground::state($target->data());
        $clients = new Clients($target, $writers, $seed);
        $clients->work($seconds);
        $faults = Ground::faults($target->data(), $clients->saved);
        $undone = 0;
        for (; $undone < 20_000; $undone++) {
            [$status, $body] = $clients->post("{$clients->layout()}/undo");
            if (
                $status !== 302 ||
                (int) $target->data()->query("select count(*) from revisions where kind = 'edit'")->fetchColumn() ===
                    (int) $target->data()->query("select count(*) from revisions where kind = 'undo'")->fetchColumn()
            ) {
                break;
            }
        }
        $after = Ground::state($target->data());
        $differ = 0;
        foreach ($before as $table => $rows) {
            $differ += count($rows) === count($after[$table]) && $rows == $after[$table] ? 0 : 1;
        }
        $target->kill();

        return [
            'requests' => array_sum($clients->statuses),
            'saved' => count($clients->saved),
            'stale' => $clients->statuses[409] ?? 0,
            'broken' => array_sum(array_filter($clients->statuses, fn (int $s): bool => $s === 0 || $s >= 500, ARRAY_FILTER_USE_KEY)),
            'undone' => $undone + 1,
            'differ' => $differ,
        ] + $faults;
    }

    /** @return array<string, int> */
    public static function kills(Target $target, int $kills, int $seed): array
    {
        mt_srand($seed);
        $sum = ['kills' => $kills, 'saved' => 0, 'lost' => 0, 'half' => 0, 'corrupt' => 0, 'overwritten' => 0];
        $clients = new Clients($target, 6, $seed);
        for ($k = 0; $k < $kills; $k++) {
            $target->start();
            $clients->work(mt_rand(200, 1600) / 1000.0, $target->kill(...));
        }
        $sum['saved'] = count($clients->saved);

        return Ground::faults($target->data(), $clients->saved) + $sum;
    }
}
