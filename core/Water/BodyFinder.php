<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use Closure;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\DepthCurve;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Land\Basin;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Stream;

/**
 * Finds the waters of a board on its land as it stands. Cells that a pond covers whole count by their corners; in those at its bank, or out
 * of which the land comes, places are looked at.
 */
final readonly class BodyFinder
{
    /** Places along each side of a cell at the bank. */
    private const PLACES = 4;

    /** Places along a stream are so far apart, mm, and so many across it. */
    private const ALONG_MM = 4.0;

    private const ACROSS = 15;

    /** Beside a stream its banks are looked at so far out, mm. */
    private const BESIDE_MM = [4.0, 8.0, 12.0];

    /** Water less deep than this is none, mm. */
    public const THIN_MM = 0.2;

    /** Steeper than this nothing that is poured or brushed stays: it falls. Less of a drop is a ripple, mm. */
    public const FALL_DEG = 20.0;

    public const FALL_MM = 2.0;

    /** Land and natural ground that differ by less are the same, mm. */
    private const SAME_MM = 1e-4;

    private Flood $flood;

    private EdgeDams $edges;

    /**
     * @param  HeightMesh  $land of the board, edges included, heights over the datum
     * @param  Closure(BoardEdge, float): ?string  $joint name of the board that goes on at a place of an edge
     * @param  list<array{float, float}>  $outlets places by which water leaves though they are no edge: mouths of tunnels
     */
    public function __construct(
        private LandModel $model,
        private HeightMesh $land,
        Closure $joint,
        private array $outlets = [],
    ) {
        $this->flood = new Flood($land);
        $this->edges = new EdgeDams($model, $joint);
    }

    /** @return list<WaterBody> that lie on the board */
    public function bodies(): array
    {
        $out = [];
        foreach ($this->model->ground->basins as $basin) {
            $out[] = $this->pond($basin);
        }
        foreach ($this->model->ground->streams as $stream) {
            $out[] = $this->stream($stream);
        }

        return array_values(array_filter($out));
    }

    private function pond(Basin $basin): ?WaterBody
    {
        $box = $this->window($basin->bank);
        if ($box === null) {
            return null;
        }
        [$i1, $j1, $i2, $j2] = $box;
        $n = count($this->land->xs);
        $under = [];
        $deepest = [0.0, null];
        for ($j = $j1; $j <= $j2; $j++) {
            for ($i = $i1; $i <= $i2; $i++) {
                $p = $j * $n + $i;
                // Land over the level is dry wherever it lies.
                $under[$p] = $this->land->z[$p] >= $basin->level
                    ? $basin->level - $this->land->z[$p]
                    : $basin->under($this->land->xs[$i], $this->land->ys[$j], $this->land->z[$p]);
                if ($under[$p] > $deepest[0]) {
                    $deepest = [$under[$p], $p];
                }
            }
        }
        if ($deepest[1] === null) {
            return null;
        }
        $samples = [];
        $plan = $true = 0.0;
        for ($j = $j1; $j < $j2; $j++) {
            for ($i = $i1; $i < $i2; $i++) {
                $p = $j * $n + $i;
                $corners = [$under[$p], $under[$p + 1], $under[$p + $n], $under[$p + $n + 1]];
                if (max($corners) <= 0.0 && ! $this->mayTouch($basin, $i, $j)) {
                    continue;
                }
                [$dx, $dy] = [$this->land->xs[$i + 1] - $this->land->xs[$i], $this->land->ys[$j + 1] - $this->land->ys[$j]];
                $before = count($samples);
                array_push($samples, ...min($corners) > 0.0 ? $this->whole($corners, $dx * $dy) : $this->parted($basin, $i, $j, $dx, $dy));
                $wet = array_sum(array_column(array_slice($samples, $before), 1));
                $plan += $wet;
                $true += ($wet / ($dx * $dy)) * HeightMesh::cellSurface(
                    $dx,
                    $dy,
                    $this->land->z[$p],
                    $this->land->z[$p + 1],
                    $this->land->z[$p + $n],
                    $this->land->z[$p + $n + 1],
                );
            }
        }
        $dams = $this->edges->dams($basin);

        return new WaterBody(
            $basin->uid,
            $basin->name,
            false,
            $basin->level,
            DepthCurve::of($samples),
            Contours::of(
                new HeightMesh(
                    array_slice($this->land->xs, $i1, $i2 - $i1 + 1),
                    array_slice($this->land->ys, $j1, $j2 - $j1 + 1),
                    array_values($under),
                ),
                [0.0],
            )[0]->length,
            $plan > 0.0 ? $true / $plan : 1.0,
            $this->flood->place($deepest[1]),
            $this->flood->spill($deepest[1], $this->dammed($dams), $this->outlets()),
            $dams,
        );
    }

    /** Whether a cell none of whose corners is under water may hold some: a bank that is narrower than cells. */
    private function mayTouch(Basin $basin, int $i, int $j): bool
    {
        foreach ($basin->bank as [$x, $y]) {
            if (
                $x >= $this->land->xs[$i] && $x <= $this->land->xs[$i + 1] && $y >= $this->land->ys[$j] && $y <= $this->land->ys[$j + 1]
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array{float, float, float, float}  $corners
     * @return list<array{float, float}> depth and area of its four quarters
     */
    private function whole(array $corners, float $area): array
    {
        [$sw, $se, $nw, $ne] = $corners;
        $out = [];
        foreach ([[0.25, 0.25], [0.75, 0.25], [0.25, 0.75], [0.75, 0.75]] as [$u, $v]) {
            $out[] = [(1 - $v) * ((1 - $u) * $sw + $u * $se) + $v * ((1 - $u) * $nw + $u * $ne), $area / 4.0];
        }

        return $out;
    }

    /** @return list<array{float, float}> depth and area of the places of a cell that are under water */
    private function parted(Basin $basin, int $i, int $j, float $dx, float $dy): array
    {
        $out = [];
        $isGraded = $this->isGraded($i, $j);
        for ($k = 0; $k < self::PLACES ** 2; $k++) {
            $x = $this->land->xs[$i] + ((($k % self::PLACES) + 0.5) / self::PLACES) * $dx;
            $y = $this->land->ys[$j] + ((intdiv($k, self::PLACES) + 0.5) / self::PLACES) * $dy;
            $height = $isGraded ? $this->model->heightAt($x, $y) : $this->model->ground->at($x, $y);
            $depth = $height < $basin->level ? $basin->under($x, $y, $height) : 0.0;
            if ($depth > 0.0) {
                $out[] = [$depth, ($dx * $dy) / self::PLACES ** 2];
            }
        }

        return $out;
    }

    /** Whether any track or road changes a cell: where none does the natural ground is the land, and much quicker told. */
    private function isGraded(int $i, int $j): bool
    {
        $n = count($this->land->xs);
        foreach ([[0, 0], [1, 0], [0, 1], [1, 1]] as [$u, $v]) {
            $ground = $this->model->ground->at($this->land->xs[$i + $u], $this->land->ys[$j + $v]);
            if (abs($ground - $this->land->z[($j + $v) * $n + $i + $u]) > self::SAME_MM) {
                return true;
            }
        }

        return false;
    }

    private function stream(Stream $stream): ?WaterBody
    {
        $stations = $this->alongStream($stream);
        if ($stations === []) {
            return null;
        }
        [$falls, $reaches] = $this->parts($stream, $stations);
        $samples = array_merge(...array_column($stations, 'samples'));
        $curve = DepthCurve::of($samples);
        if ($curve->isEmpty()) {
            return null;
        }
        $deep = $stations[0];
        foreach ($stations as $one) {
            $deep = $one['deep'] > $deep['deep'] ? $one : $deep;
        }

        return new WaterBody(
            $stream->uid,
            $stream->name,
            true,
            min(array_column($stations, 'level')),
            $curve,
            2.0 * count($stations) * $stations[0]['step'],
            // A parabola’s arc over its chord: R. Courant, Differential and Integral Calculus I, for a flat one 1 + 8/3 (depth ÷ width)².
            1.0 + (8.0 / 3.0) * ($stream->depth / $stream->width) ** 2,
            $deep['at'],
            $this->lowestBank($stations),
            $this->edges->dams($stream),
            $reaches,
            $falls,
        );
    }

    /**
     * @return list<array{station: float, step: float, at: array{float, float}, level: float, deep: float, margin: float,
     *     bank: array{float, float}, samples: list<array{float, float}>}> places along a stream that lie on the board
     */
    private function alongStream(Stream $stream): array
    {
        $out = [];
        $begin = 0.0;
        for ($k = 1; $k < count($stream->line); $k++) {
            [[$ax, $ay], [$bx, $by]] = [$stream->line[$k - 1], $stream->line[$k]];
            $long = hypot($bx - $ax, $by - $ay);
            $parts = max(1, (int) ceil($long / self::ALONG_MM));
            for ($n = 0; $n < $parts && $long > 0.0; $n++) {
                $t = ($n + 0.5) / $parts;
                [$x, $y] = [$ax + $t * ($bx - $ax), $ay + $t * ($by - $ay)];
                if ($this->isOn($x, $y)) {
                    $level = $stream->levels[$k - 1] + $t * ($stream->levels[$k] - $stream->levels[$k - 1]);
                    $normal = [-($by - $ay) / $long, ($bx - $ax) / $long];
                    $out[] = ['station' => $begin + $t * $long, 'step' => $long / $parts, 'at' => [$x, $y], 'level' => $level] +
                        $this->across($stream, $x, $y, $level, $normal, $long / $parts);
                }
            }
            $begin += $long;
        }

        return $out;
    }

    /**
     * @param  array{float, float}  $normal
     * @return array{deep: float, margin: float, bank: array{float, float}, samples: list<array{float, float}>}
     */
    private function across(Stream $stream, float $x, float $y, float $level, array $normal, float $step): array
    {
        $samples = [];
        $deep = 0.0;
        for ($k = 0; $k < self::ACROSS; $k++) {
            $off = $stream->width * (($k + 0.5) / self::ACROSS - 0.5);
            [$px, $py] = [$x + $off * $normal[0], $y + $off * $normal[1]];
            // Where it has run into a pond the pond is what lies there.
            $runs = $this->isOn($px, $py) && $this->model->ground->beyondPonds($px, $py) > 0.0;
            $under = $runs ? $level - $this->model->heightAt($px, $py) : 0.0;
            if ($under > 0.0) {
                $samples[] = [$under, ($step * $stream->width) / self::ACROSS];
                $deep = max($deep, $under);
            }
        }
        $margin = INF;
        $bank = [$x, $y];
        foreach ([-1.0, 1.0] as $side) {
            $crest = -INF;
            foreach (self::BESIDE_MM as $out) {
                $off = $side * ($stream->width / 2.0 + $out);
                [$px, $py] = [$x + $off * $normal[0], $y + $off * $normal[1]];
                // Past the edge there is a dam.
                $crest = max($crest, $this->isOn($px, $py) ? $this->model->heightAt($px, $py) : INF);
            }
            if ($crest - $level < $margin) {
                $margin = $crest - $level;
                $bank = [
                    $x + $side * ($stream->width / 2.0) * $normal[0],
                    $y + $side * ($stream->width / 2.0) * $normal[1],
                ];
            }
        }

        return ['deep' => $deep, 'margin' => $margin, 'bank' => $bank, 'samples' => $samples];
    }

    /** @param  non-empty-list<array{level: float, margin: float, bank: array{float, float}}>  $stations */
    private function lowestBank(array $stations): ?Spill
    {
        $low = $stations[0];
        foreach ($stations as $one) {
            $low = $one['margin'] < $low['margin'] ? $one : $low;
        }
        if (! is_finite($low['margin'])) {
            return null;
        }

        // Its level is told over that of the water at its lowest, as a pond's is.
        return new Spill(min(array_column($stations, 'level')) + $low['margin'], $this->flood->down($low['bank'], $this->outlets()));
    }

    /**
     * @param  non-empty-list<array{station: float, step: float, at: array{float, float}, level: float,
     *     samples: list<array{float, float}>}>  $stations
     * @return array{list<Fall>, list<Reach>}
     */
    private function parts(Stream $stream, array $stations): array
    {
        $falls = $reaches = [];
        $begin = 0;
        $reach = function (int $from, int $to) use (&$reaches, $stations): void {
            if ($to <= $from) {
                return;
            }
            $some = array_slice($stations, $from, $to - $from);
            $reaches[] = new Reach(
                $some[0]['station'] - $some[0]['step'] / 2.0,
                $some[count($some) - 1]['station'] + $some[count($some) - 1]['step'] / 2.0,
                $some[0]['level'],
                $some[count($some) - 1]['level'],
                DepthCurve::of(array_merge(...array_column($some, 'samples'))),
            );
        };
        $steep = tan(deg2rad(self::FALL_DEG));
        for ($k = 1; $k < count($stations); $k++) {
            $last = $k;
            while (
                $last < count($stations) &&
                $stations[$last - 1]['level'] - $stations[$last]['level'] >=
                    $steep * ($stations[$last]['station'] - $stations[$last - 1]['station'])
            ) {
                $last++;
            }
            $drop = $stations[$k - 1]['level'] - $stations[$last - 1]['level'];
            if ($last > $k && $drop >= self::FALL_MM) {
                $reach($begin, $k);
                $middle = $stations[intdiv($k + $last - 1, 2)]['at'];
                $falls[] = new Fall($stations[$k - 1]['station'], $stations[$last - 1]['station'], $drop, $stream->width, $middle);
                $begin = $last - 1;
            }
            $k = max($k, $last - 1);
        }
        $reach($begin, count($stations));

        return [$falls, $reaches];
    }

    /**
     * @param  list<Dam>  $dams
     * @return array<int, true> nodes along the edges that they close
     */
    private function dammed(array $dams): array
    {
        $out = [];
        foreach ($dams as $dam) {
            $lines = $dam->edge->runsAlongX() ? $this->land->xs : $this->land->ys;
            foreach ($lines as $at) {
                if ($at >= $dam->from - EdgeDams::STEP_MM && $at <= $dam->to + EdgeDams::STEP_MM) {
                    $out[$this->flood->node(...$this->edges->place($dam->edge, $at))] = true;
                }
            }
        }

        return $out;
    }

    /** @return array<int, true> */
    private function outlets(): array
    {
        $out = [];
        foreach ($this->outlets as [$x, $y]) {
            $out[$this->flood->node($x, $y)] = true;
        }

        return $out;
    }

    private function isOn(float $x, float $y): bool
    {
        return $x >= 0.0 && $y >= 0.0 && $x <= $this->model->width && $y <= $this->model->depth;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $ring
     * @return array{int, int, int, int}|null first and last lines of the mesh about it; null where it lies beside the board
     */
    private function window(array $ring): ?array
    {
        [$x1, $y1, $x2, $y2] = Box::around($ring);
        if ($x1 >= $this->model->width || $y1 >= $this->model->depth || $x2 <= 0.0 || $y2 <= 0.0) {
            return null;
        }
        $range = function (array $lines, float $from, float $to): array {
            $first = 0;
            $last = count($lines) - 1;
            while ($first < $last - 1 && $lines[$first + 1] < $from) {
                $first++;
            }
            while ($last > $first + 1 && $lines[$last - 1] > $to) {
                $last--;
            }

            return [$first, $last];
        };
        [[$i1, $i2], [$j1, $j2]] = [$range($this->land->xs, $x1, $x2), $range($this->land->ys, $y1, $y2)];

        return [$i1, $j1, $i2, $j2];
    }
}
