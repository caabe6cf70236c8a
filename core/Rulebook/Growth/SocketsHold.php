<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Growth;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Planting\Socket;
use IdleRidge\Core\Project\GrowthSurvey;

/** A socket is bored into land that is deep enough for it. */
final class SocketsHold implements GrowthRule
{
    public function ids(): array
    {
        return ['socket-through'];
    }

    public function check(GrowthSurvey $survey): array
    {
        $found = [];
        foreach ($survey->stands() as $stand) {
            $through = [];
            if ($stand->socket === null) {
                continue;
            }
            foreach ($stand->trees as $k => $tree) {
                $deep = $survey->ground->height($tree->x, $tree->y) - $survey->section->base;
                $lacks = $stand->socket->depth + Socket::FLOOR_MM - $deep;
                if ($lacks > 0.0) {
                    $through[] = [$lacks, $k + 1, $tree, $deep];
                }
            }
            if ($through !== []) {
                usort($through, fn (array $a, array $b): int => $b[0] <=> $a[0]);
                [, $number, $tree, $deep] = $through[0];
                $found[] = new Finding(
                    'socket-through',
                    Severity::Hint,
                    "{$stand->name}: the socket of tree {$number}".(count($through) > 1 ? ' and '.(count($through) - 1).' more' : '').
                        ' goes into the board',
                    $survey->section->uid,
                    Place::at($tree->x, $tree->y),
                    [
                        'land' => new Quantity($deep, 'mm', 'land over the top of the board there', decimals: 1),
                        'socket' => new Quantity($stand->socket->depth, 'mm', 'depth of the socket', [], 'typed', 1),
                    ],
                    'A drill that meets the top under the foam stops, or goes through it.',
                    'Bore the top too, or make the sockets less deep.',
                );
            }
        }

        return $found;
    }
}
