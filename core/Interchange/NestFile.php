<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Cuts\Nesting\NestPiece;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestSheet;
use IdleRidge\Core\Measure\InvalidValue;
use JsonException;

/** Reads a problem of pieces on sheets. */
final class NestFile
{
    /** @throws InvalidValue with the JSON pointer of what is wrong */
    public static function read(string $json): NestProblem
    {
        try {
            $r = new Record(json_decode($json, false, 32, JSON_THROW_ON_ERROR), '');
        } catch (JsonException) {
            throw new InvalidValue('not a readable JSON file', '/');
        }
        if (! $r->has('format') || $r->text('format') !== 'idle-ridge/nest') {
            throw new InvalidValue('format must be “idle-ridge/nest”', '/format');
        }
        $sheets = array_map(
            fn (Record $s): NestSheet => $s->within(
                fn (): NestSheet => new NestSheet($s->text('id'), $s->number('w'), $s->number('h'), (int) $s->number('count', 1.0)),
            ),
            $r->records('sheets'),
        );
        $pieces = array_map(
            fn (Record $p): NestPiece => $p->within(fn (): NestPiece => new NestPiece($p->text('id'), self::rings($p))),
            $r->records('pieces'),
        );
        $rotations = [];
        foreach ($r->has('rotations') ? $r->list('rotations') : [0, 90, 180, 270] as $k => $turn) {
            $rotations[] =
                is_int($turn) || is_float($turn) ? (float) $turn : throw new InvalidValue('expected a number', "/rotations/{$k}");
        }

        return $r->within(
            fn (): NestProblem => new NestProblem($sheets, $pieces, $r->number('kerf', 0.0), $r->number('margin', 0.0), $rotations),
        );
    }

    /** @return list<list<array{float, float}>> */
    private static function rings(Record $piece): array
    {
        $rings = [];
        foreach ($piece->list('rings') as $k => $ring) {
            $points = [];
            foreach (is_array($ring) ? $ring : throw new InvalidValue('expected a list of points', "rings/{$k}") as $p) {
                if (! is_array($p) || ! is_numeric($p[0] ?? null) || ! is_numeric($p[1] ?? null)) {
                    throw new InvalidValue('expected points of two numbers', "rings/{$k}");
                }
                $points[] = [(float) $p[0], (float) $p[1]];
            }
            $rings[] = $points;
        }

        return $rings;
    }
}
