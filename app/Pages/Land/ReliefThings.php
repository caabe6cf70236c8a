<?php

declare(strict_types=1);

namespace App\Pages\Land;

use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\RowThing;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** Trees, posts, wires and hedges of a board as simple bodies for a view that turns: mm, as 32-bit floats in base64. */
final readonly class ReliefThings
{
    private const STEP_MM = 8.0;

    /** @param  array<string, bool>  $stood uid of a zone with such work → whether it is done */
    public function __construct(
        private Project $project,
        private Section $section,
        private HeightMesh $land,
        private array $stood,
    ) {
    }

    /** @return array<string, string> form, or bare → x, y, z, height, crown of each */
    public function trees(): array
    {
        $out = [];
        foreach ($this->project->works->growth->standsOn($this->section->uid) as $stand) {
            if (! $this->stands(fn ($zone): bool => in_array($stand->uid, $zone->under, true))) {
                continue;
            }
            foreach ($stand->treesOn($this->section->placement) as $tree) {
                $key = $tree->dead ? 'bare' : $stand->species($tree)->form->value;
                $out[$key] ??= [];
                array_push($out[$key], $tree->x, $tree->y, $this->land->at($tree->x, $tree->y), $tree->height, $tree->crown);
            }
        }

        return array_map(fn (array $all): string => base64_encode(pack('g*', ...$all)), $out);
    }

    /**
     * @param  list<RowLayout>  $sets
     * @return array{posts: string, wires: list<string>, bands: list<array{kind: string, wide: float, high: float, line: string}>} posts
     *     as x, y, z, height, width; wires and lines as x, y, z
     */
    public function rows(array $sets): array
    {
        $posts = $wires = $bands = [];
        foreach ($sets as $set) {
            if (! $this->stands(fn ($zone): bool => $zone->along === $set->row->uid)) {
                continue;
            }
            $kind = $set->row->kind;
            foreach ($kind->stands() ? $set->on($this->section->uid) : [] as $thing) {
                [$x, $y, $z] = $this->place($thing->x, $thing->y);
                array_push($posts, $x, $y, $z, $thing->height, max(0.8, $set->wide));
            }
            array_push($wires, ...$this->wires($set));
            if ($kind->isUnbroken() || $kind === RowKind::Kerb || $kind === RowKind::Sleepers) {
                array_push($bands, ...$this->bands($set));
            }
        }

        return ['posts' => base64_encode(pack('g*', ...$posts)), 'wires' => $wires, 'bands' => $bands];
    }

    /** @return list<string> one a wire and stretch, from thing to thing */
    private function wires(RowLayout $set): array
    {
        $out = [];
        foreach ($set->stretches() as [$from, $to]) {
            $things = array_values(array_filter(
                $set->on($this->section->uid),
                fn (RowThing $t): bool => $t->station >= $from - 0.01 && $t->station <= $to + 0.01,
            ));
            foreach (count($things) < 2 ? [] : $set->row->figures->wires as $wire) {
                $line = [];
                foreach ($things as $thing) {
                    [$x, $y, $z] = $this->place($thing->x, $thing->y);
                    array_push($line, $x, $y, $z + ($wire / $set->row->figures->height) * $thing->height);
                }
                $out[] = base64_encode(pack('g*', ...$line));
            }
        }

        return $out;
    }

    /** @return list<array{kind: string, wide: float, high: float, line: string}> */
    private function bands(RowLayout $set): array
    {
        $out = [];
        foreach ($set->stretches() as [$from, $to]) {
            foreach ($set->parts as $part) {
                [$a, $b] = [max($from, $part->from), min($to, $part->to)];
                if ($part->section !== $this->section->uid || $b - $a < 1.0) {
                    continue;
                }
                $line = [];
                $steps = max(1, (int) ceil(($b - $a) / self::STEP_MM));
                for ($k = 0; $k <= $steps; $k++) {
                    [$x, $y] = $set->line->at($a + (($b - $a) * $k) / $steps);
                    array_push($line, ...$this->place($x, $y));
                }
                $out[] = [
                    'kind' => $set->row->kind->value,
                    'wide' => $set->wide,
                    'high' => $set->height,
                    'line' => base64_encode(pack('g*', ...$line)),
                ];
            }
        }

        return $out;
    }

    /** @return array{float, float, float} */
    private function place(float $x, float $y): array
    {
        $p = $this->section->placement->toSection(new Point($x, $y));

        return [$p->x, $p->y, $this->land->at($p->x, $p->y)];
    }

    /** What is not among the work stands. */
    private function stands(callable $isOf): bool
    {
        foreach ($this->project->works->zonesOf($this->section->uid) as $zone) {
            if (isset($this->stood[$zone->uid]) && $isOf($zone)) {
                return $this->stood[$zone->uid];
            }
        }

        return true;
    }
}
