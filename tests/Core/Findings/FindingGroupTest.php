<?php

declare(strict_types=1);

namespace Tests\Core\Findings;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\FindingGroup;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use PHPUnit\Framework\TestCase;

/** What is found of several coats or places is told once. */
final class FindingGroupTest extends TestCase
{
    public function test_the_same_is_told_once_with_all_that_it_is_of(): void
    {
        $findings = [
            self::finding('rails', Severity::Hint, 'Rails to clean after soil'),
            self::finding('steep', Severity::Stop, 'Face too steep'),
            self::finding('rails', Severity::Care, 'Rails to clean after fibre'),
            self::finding('rails', Severity::Care, 'Rails to clean after soil', 'other board'),
            self::finding('rails', Severity::Care, 'Rails to clean after soil', why: 'Another reason.'),
        ];
        $groups = FindingGroup::of($findings);
        $this->assertSame([[0, 2], [1], [3], [4]], array_map(fn (FindingGroup $g): array => array_keys($g->findings), $groups));
        $this->assertSame(Severity::Care, $groups[0]->severity(), 'the gravest of them');
        $this->assertSame(Severity::Stop, $groups[1]->severity());
        $this->assertSame($findings[0], $groups[0]->first());
        $this->assertSame(['Why.', 'Do.'], [$groups[0]->why, $groups[0]->do]);
        $this->assertSame([], FindingGroup::of([]));
        $this->assertSame([0, 1, 2], array_map(fn (Severity $s): int => $s->rank(), [Severity::Stop, Severity::Care, Severity::Hint]));
    }

    private static function finding(string $id, Severity $severity, string $subject, string $board = 'b', string $why = 'Why.'): Finding
    {
        return new Finding($id, $severity, $subject, $board, Place::at(0.0, 0.0), [], $why, 'Do.');
    }
}
