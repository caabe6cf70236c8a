<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Schedule\Job;
use IdleRidge\Core\Schedule\Precedence;
use IdleRidge\Core\Schedule\Problem;
use JsonException;

/** Reads a problem for the scheduler. */
final class BenchProblemFile
{
    /** @throws InvalidValue with the JSON pointer of what is wrong */
    public static function read(string $json): Problem
    {
        try {
            $r = new Record(json_decode($json, false, 32, JSON_THROW_ON_ERROR), '');
        } catch (JsonException) {
            throw new InvalidValue('not a readable JSON file', '/');
        }
        if (! $r->has('format') || $r->text('format') !== 'idle-ridge/bench-problem') {
            throw new InvalidValue('format must be “idle-ridge/bench-problem”', '/format');
        }
        $tools = array_map(fn (float $n): int => (int) $n, $r->record('tools')->numbers());
        $sessions = array_map(fn (array $pair): array => [(int) $pair[0], (int) $pair[1]], self::pairs($r, 'sessions'));
        $jobs = $waits = [];
        foreach ($r->records('jobs') as $j) {
            $jobs[] = $j->within(
                fn (): Job => new Job(
                    $j->text('id'),
                    (int) $j->number('minutes'),
                    (int) $j->number('hands', 1.0),
                    array_map('strval', $j->list('tools')),
                    $j->text('section', ''),
                ),
            );
        }
        foreach ($r->records('waits') as $w) {
            $max = $w->numberOrNull('max');
            $waits[] = $w->within(
                fn (): Precedence => Precedence::of(
                    $w->text('after'),
                    $w->text('before'),
                    (int) $w->number('min'),
                    $max === null ? null : (int) $max,
                ),
            );
        }
        $apart = array_map(fn (array $pair): array => [(string) $pair[0], (string) $pair[1]], self::pairs($r, 'apart'));

        return new Problem((int) $r->number('horizon'), (int) $r->number('hands'), $tools, $sessions, $jobs, $waits, $apart);
    }

    /** @return list<array{int|float|string, int|float|string}> */
    private static function pairs(Record $r, string $key): array
    {
        $out = [];
        foreach ($r->list($key) as $k => $pair) {
            if (
                ! is_array($pair) ||
                count($pair) !== 2 ||
                ! is_scalar($pair[0] ?? null) ||
                ! is_scalar($pair[1] ?? null) ||
                is_bool($pair[0]) ||
                is_bool($pair[1])
            ) {
                throw new InvalidValue('expected a pair', $r->at($key).'/'.$k);
            }
            $out[] = [$pair[0], $pair[1]];
        }

        return $out;
    }
}
