<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;

/**
 * A row set out: where each thing of it stands, on which board, and what it takes. Between posts that strain, spans are equal and no
 * longer than the spacing, so that none is left over at the end; nothing stands on a joint between boards.
 */
final readonly class RowLayout
{
    /** Nothing stands so near to a joint, mm. */
    public const JOINT_CLEAR_MM = 6.0;

    /** A fence strains at a bend from this angle on; a pole is stayed from that on. Starting values of fencing and line practice. */
    public const STRAINING_BEND_DEG = 20.0;

    public const STAY_BEND_DEG = 8.0;

    /** Wires hang through by such a share of their span. A starting value, for the eye. */
    public const SAG_SHARE = 0.015;

    private const AT_BEND_MM = 0.5;

    /** Stations are kept to a tenth of this, mm. */
    private const ROUNDED_MM = 1e-3;

    /**
     * @param  list<RowThing>  $things
     * @param  list<RowPart>  $parts
     * @param  list<array{float, float}>  $gaps stations of gates and of joints, where no piece lies
     * @param  float  $spacing mm of the model; $height and $wide too
     */
    private function __construct(
        public Row $row,
        public RowLine $line,
        public array $things,
        public array $parts,
        public array $gaps,
        public float $spacing,
        public float $height,
        public float $wide,
    ) {
    }

    /**
     * @param  list<RowPart>  $parts boards along the line, in order
     * @param  callable(string, float, float): float  $scaleAt what of the scale things are built to on a board, at a place in the layout
     *
     * @throws InvalidValue when there are too many, or a gate lies beyond the row
     */
    public static function of(Row $row, RowLine $line, array $parts, Scale $scale, callable $scaleAt): self
    {
        $mm = fn (float $metres): float => $scale->toModel(1000.0 * $metres);
        $spacing = $mm($row->figures->spacing);
        $count = $row->kind === RowKind::GradePosts ? 0.0 : $line->length / $spacing;
        if ($count > Row::MAX_THINGS) {
            throw new InvalidValue(
                sprintf(
                    'That is %s %s; a row has at most %s. Is the spacing right?',
                    number_format($count),
                    $row->kind->word(2),
                    number_format(Row::MAX_THINGS),
                ),
                'spacing_m',
            );
        }
        $gates = self::gates($row, $line, $mm);
        $joints = self::joints($parts);
        $clear = max(self::JOINT_CLEAR_MM, $mm($row->figures->wide) / 2.0);
        foreach ($row->kind->isUnbroken() ? [] : array_merge([], ...$gates) as $post) {
            foreach ($joints as $joint) {
                if (abs($post - $joint) < $clear - 1e-9) {
                    throw new InvalidValue('A post of the gate would stand on the joint at '.Format::length($joint).'.', 'gates');
                }
            }
        }
        $bare = new self(
            $row, $line, [], $parts, [...$gates, ...array_map(fn (float $at): array => [$at - $clear, $at + $clear], $joints)],
            $spacing, $mm($row->figures->height), $mm($row->figures->wide),
        );
        $roles = match (true) {
            $row->kind->isUnbroken() => [],
            $row->kind->isSpanned() => $bare->spanned($gates),
            $row->kind === RowKind::GradePosts => $bare->marked(),
            default => $bare->pitched(),
        };
        ksort($roles, SORT_NUMERIC);
        $things = [];
        foreach ($roles as $key => $role) {
            $station = (float) $key;
            $section = $bare->boardAt($station);
            if ($section !== null) {
                [$x, $y, $heading] = $line->at($station);
                $things[] = new RowThing($station, $x, $y, $heading, $bare->height * $scaleAt($section, $x, $y), $role, $section);
            }
        }

        return new self($row, $line, $bare->stayed($things), $parts, $bare->gaps, $spacing, $bare->height, $bare->wide);
    }

    /**
     * Ends, sharp bends, gates and joints part the row into stretches; each is divided evenly.
     *
     * @param  list<array{float, float}>  $gates
     * @return array<string, RowRole> station → role
     */
    private function spanned(array $gates): array
    {
        $out = [];
        foreach ($this->stretches() as [$from, $to]) {
            if ($to - $from < 2.0 * self::JOINT_CLEAR_MM) {
                // Too short for two: one stands in its middle.
                $out[self::key(($from + $to) / 2.0)] = RowRole::Straining;

                continue;
            }
            $breaks = [$from];
            foreach ($this->line->bends as $bend) {
                if (
                    $bend > $from + 1.0 && $bend < $to - 1.0 &&
                    $this->line->turn($bend, self::AT_BEND_MM) >= self::STRAINING_BEND_DEG - 1e-6
                ) {
                    $breaks[] = $bend;
                }
            }
            $breaks[] = $to;
            for ($k = 0; $k < count($breaks) - 1; $k++) {
                $spans = max(1, (int) ceil(($breaks[$k + 1] - $breaks[$k]) / $this->spacing - 1e-9));
                $span = ($breaks[$k + 1] - $breaks[$k]) / $spans;
                $every = $this->row->figures->strain > 0.0
                    ? max(1, (int) floor(($this->row->figures->strain / $this->row->figures->spacing) * ($this->spacing / $span) + 1e-9))
                    : PHP_INT_MAX;
                for ($i = 0; $i <= $spans; $i++) {
                    $strains = $i === 0 || $i === $spans || $i % $every === 0;
                    $out[self::key($breaks[$k] + $i * $span)] = $strains ? RowRole::Straining : RowRole::Plain;
                }
            }
        }
        foreach ($gates as [$from, $to]) {
            foreach ([$from, $to] as $at) {
                $out[self::key($at)] = RowRole::Gate;
            }
        }

        return $out;
    }

    /** @return array<string, RowRole> from the beginning on, one after the other; what would stand in a gap is left out */
    private function pitched(): array
    {
        $out = [];
        $half = in_array($this->row->kind, [RowKind::Sleepers, RowKind::Kerb], true) ? 0.5 : 0.0;
        $first = $this->row->kind === RowKind::Joints ? 1.0 : $half;
        for ($k = 0; ($station = ($first + $k) * $this->spacing) <= $this->line->length - $half * $this->spacing * 0.98 + 1e-6; $k++) {
            $inGap = array_filter($this->gaps, fn (array $gap): bool => $station > $gap[0] + 1e-9 && $station < $gap[1] - 1e-9);
            if ($inGap === []) {
                $out[self::key($station)] = RowRole::Plain;
            }
        }

        return $out;
    }

    /** @return array<string, RowRole> at the marks of its line, moved off joints */
    private function marked(): array
    {
        $out = [];
        foreach ($this->line->marks as $station) {
            foreach ($this->gaps as [$from, $to]) {
                if ($station > $from && $station < $to) {
                    $station = $to;
                }
            }
            $out[self::key($station)] = RowRole::Plain;
        }

        return $out;
    }

    /** @return list<array{float, float}> of the row, between its gaps */
    public function stretches(): array
    {
        $gaps = $this->gaps;
        usort($gaps, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $out = [];
        foreach ($this->runsOfBoards() as [$at, $end]) {
            foreach ($gaps as [$from, $to]) {
                if ($to > $at && $from < $end) {
                    if ($from > $at + 1e-6) {
                        $out[] = [$at, $from];
                    }
                    $at = max($at, $to);
                }
            }
            if ($end > $at + 1e-6) {
                $out[] = [$at, $end];
            }
        }

        return $out;
    }

    /** @return list<array{float, float}> where boards lie under it one after the other */
    private function runsOfBoards(): array
    {
        $out = [];
        foreach ($this->parts as $part) {
            [$from] = $out !== [] && $part->from - end($out)[1] < 1.0 ? array_pop($out) : [$part->from];
            $out[] = [$from, $part->to];
        }

        return $out;
    }

    private function boardAt(float $station): ?string
    {
        foreach ($this->parts as $part) {
            if ($station >= $part->from - self::ROUNDED_MM && $station <= $part->to + self::ROUNDED_MM) {
                return $part->section;
            }
        }

        return null;
    }

    /**
     * Poles that wires pull aside, and the last ones, are stayed.
     *
     * @param  list<RowThing>  $things
     * @return list<RowThing>
     */
    private function stayed(array $things): array
    {
        if ($this->row->kind !== RowKind::Poles) {
            return $things;
        }
        $out = [];
        foreach ($things as $k => $one) {
            $bend = INF;
            if (isset($things[$k - 1], $things[$k + 1])) {
                $in = atan2($one->y - $things[$k - 1]->y, $one->x - $things[$k - 1]->x);
                $on = atan2($things[$k + 1]->y - $one->y, $things[$k + 1]->x - $one->x);
                $bend = abs(rad2deg(atan2(sin($on - $in), cos($on - $in))));
            }
            $role = $bend >= self::STAY_BEND_DEG ? RowRole::Stayed : RowRole::Plain;
            $out[] = new RowThing($one->station, $one->x, $one->y, $one->headingRad, $one->height, $role, $one->section);
        }

        return $out;
    }

    /**
     * @param  callable(float): float  $mm
     * @return list<array{float, float}>
     *
     * @throws InvalidValue
     */
    private static function gates(Row $row, RowLine $line, callable $mm): array
    {
        $out = [];
        foreach ($row->gates as $gate) {
            $half = $mm($gate->wideM) / 2.0;
            if ($gate->at - $half < 0.0 || $gate->at + $half > $line->length) {
                throw new InvalidValue(
                    sprintf(
                        'A gate at %s lies beyond the row, which is %s long.',
                        Format::length($gate->at),
                        Format::length($line->length),
                    ),
                    'gates',
                );
            }
            $out[] = [$gate->at - $half, $gate->at + $half];
        }
        usort($out, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        for ($k = 1; $k < count($out); $k++) {
            if ($out[$k][0] < $out[$k - 1][1]) {
                throw new InvalidValue('Two gates lie over each other.', 'gates');
            }
        }

        return $out;
    }

    /**
     * @param  list<RowPart>  $parts
     * @return list<float> stations at which it goes over from one board to the next
     */
    private static function joints(array $parts): array
    {
        $out = [];
        for ($k = 1; $k < count($parts); $k++) {
            if ($parts[$k]->from - $parts[$k - 1]->to < 1.0) {
                $out[] = ($parts[$k]->from + $parts[$k - 1]->to) / 2.0;
            }
        }

        return $out;
    }

    private static function key(float $station): string
    {
        return sprintf('%.4F', $station);
    }

    /** Things on a board, or all. */
    public function count(?string $section = null): int
    {
        return count($section === null ? $this->things : $this->on($section));
    }

    /** @return list<RowThing> */
    public function on(string $section): array
    {
        return array_values(array_filter($this->things, fn (RowThing $t): bool => $t->section === $section));
    }

    /** @return array<string, int> role → things */
    public function roles(?string $section = null): array
    {
        return array_count_values(array_map(
            fn (RowThing $t): string => $t->role->value,
            $section === null ? $this->things : $this->on($section),
        ));
    }

    /** Length of what lies unbroken, without gates and joints, mm. */
    public function laid(?string $section = null): float
    {
        $sum = 0.0;
        foreach ($this->stretches() as [$from, $to]) {
            foreach ($this->parts as $part) {
                if ($section === null || $part->section === $section) {
                    $sum += max(0.0, min($to, $part->to) - max($from, $part->from));
                }
            }
        }

        return $sum;
    }

    /** @return list<float> from each thing to the next, mm */
    public function spans(): array
    {
        $out = [];
        for ($k = 1; $k < count($this->things); $k++) {
            $out[] = $this->things[$k]->station - $this->things[$k - 1]->station;
        }

        return $out;
    }

    /**
     * Wire for all of them, mm: a parabola of a sag d over a span L is L(1 + 8/3 (d/L)²) long (first terms of its series); a fence's is
     * taut.
     */
    public function wire(?string $section = null): float
    {
        $wires = count($this->row->figures->wires);
        $long = $this->row->kind === RowKind::Poles ? 1.0 + (8.0 / 3.0) * self::SAG_SHARE ** 2 : 1.0;

        return $wires * $long * $this->laid($section);
    }

    /** @return array{packs: int, left: float} what is bought of it by length, and what is over, mm */
    public function packs(): array
    {
        if ($this->row->pack <= 0.0) {
            return ['packs' => 0, 'left' => 0.0];
        }
        $needs = $this->row->kind->isUnbroken() ? $this->laid() : $this->line->length;
        $packs = (int) ceil($needs / $this->row->pack - 1e-9);

        return ['packs' => $packs, 'left' => $packs * $this->row->pack - $needs];
    }
}
