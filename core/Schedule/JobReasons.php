<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/** Why each job of a plan does not start a minute earlier: the wait, the hands or tool, the pair, the session. */
final class JobReasons
{
    /**
     * @param  array<string, int>  $starts
     * @return array<string, array{kind: string, ref: string, text: string}>
     */
    public static function of(Problem $problem, array $starts): array
    {
        $out = [];
        foreach ($starts as $id => $start) {
            $out[$id] = self::why($problem, $starts, (string) $id, $start);
        }

        return $out;
    }

    /**
     * @param  array<string, int>  $starts
     * @return array{kind: string, ref: string, text: string}
     */
    private static function why(Problem $problem, array $starts, string $id, int $start): array
    {
        foreach ($problem->before[$id] ?? [] as $wait) {
            if (! isset($starts[$wait->after])) {
                continue;
            }
            $end = $starts[$wait->after] + $problem->jobs[$wait->after]->minutes;
            if ($start === $wait->gap->earliest($end)) {
                return self::reason('wait', $wait->after, 'waits '.($start - $end)." minutes after “{$wait->after}”");
            }
        }
        foreach ($problem->sessions as [$from, $to]) {
            if ($start === $from) {
                return self::reason('session', (string) $from, 'begins with its session; none before it has room once its waits are over');
            }
        }
        foreach ($starts as $other => $at) {
            $job = $problem->jobs[$other];
            if ((string) $other !== $id && $at < $start && $at + $job->minutes === $start) {
                if (in_array($other, $problem->others[$id] ?? [], true)) {
                    return self::reason('apart', (string) $other, "must not overlap “{$other}”");
                }
                $tools = array_values(array_intersect($problem->jobs[$id]->tools, $job->tools));
                if ($tools !== []) {
                    return self::reason('tool', (string) reset($tools), "“{$other}” has the ".reset($tools).' until then');
                }

                return self::reason('hands', (string) $other, "hands are with “{$other}” until then");
            }
        }
        foreach ($problem->waits as $wait) {
            if ($wait->after === $id && $wait->max !== null) {
                return self::reason(
                    'window',
                    $wait->before,
                    "any earlier, “{$wait->before}” would come more than {$wait->max} minutes after it",
                );
            }
        }

        return self::reason('order', '', 'other work goes first');
    }

    /** @return array{kind: string, ref: string, text: string} */
    private static function reason(string $kind, string $ref, string $text): array
    {
        return ['kind' => $kind, 'ref' => $ref, 'text' => $text];
    }
}
