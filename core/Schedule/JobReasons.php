<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/** Why each job of a plan does not start a minute earlier: the wait, the hands or tool, the pair, the session. */
final class JobReasons
{
    /**
     * @param  array<string, int>  $starts
     * @return array<string, StartReason>
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
     */
    private static function why(Problem $problem, array $starts, string $id, int $start): StartReason
    {
        foreach ($problem->before[$id] ?? [] as $wait) {
            if (! isset($starts[$wait->after])) {
                continue;
            }
            $end = $starts[$wait->after] + $problem->jobs[$wait->after]->minutes;
            if ($start === $wait->gap->earliest($end)) {
                return new StartReason(ReasonKind::Wait, $wait->after, 'waits '.($start - $end)." minutes after “{$wait->after}”");
            }
        }
        foreach ($problem->sessions as [$from, $to]) {
            if ($start === $from) {
                return new StartReason(
                    ReasonKind::Session,
                    (string) $from,
                    'begins with its session; none before it has room once its waits are over',
                );
            }
        }
        foreach ($starts as $other => $at) {
            $job = $problem->jobs[$other];
            if ((string) $other !== $id && $at < $start && $at + $job->minutes === $start) {
                if (in_array($other, $problem->others[$id] ?? [], true)) {
                    return new StartReason(ReasonKind::Apart, (string) $other, "must not overlap “{$other}”");
                }
                $tools = array_values(array_intersect($problem->jobs[$id]->tools, $job->tools));
                if ($tools !== []) {
                    return new StartReason(ReasonKind::Tool, (string) reset($tools), "“{$other}” has the ".reset($tools).' until then');
                }

                return new StartReason(ReasonKind::Hands, (string) $other, "hands are with “{$other}” until then");
            }
        }
        foreach ($problem->waits as $wait) {
            if ($wait->after === $id && $wait->max !== null) {
                return new StartReason(
                    ReasonKind::Window,
                    $wait->before,
                    "any earlier, “{$wait->before}” would come more than {$wait->max} minutes after it",
                );
            }
        }

        return new StartReason(ReasonKind::Order, '', 'other work goes first');
    }
}
