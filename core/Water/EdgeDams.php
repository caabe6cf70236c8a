<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use Closure;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Land\Basin;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Stream;

/** Finds where the edges of a board cut water off; section coordinates, mm. */
final readonly class EdgeDams
{
    /** Edges are looked along in such steps, mm. */
    public const STEP_MM = 2.5;

    /** @param  Closure(BoardEdge, float): ?string  $joint name of the board that goes on at a place of an edge */
    public function __construct(private LandModel $model, private Closure $joint)
    {
    }

    /** @return list<Dam> where a water lies at the edges of the board */
    public function dams(Basin|Stream $water): array
    {
        $out = [];
        foreach (BoardEdge::cases() as $edge) {
            $long = $edge->length($this->model->width, $this->model->depth);
            $parts = (int) ceil($long / self::STEP_MM);
            $bed = [];
            for ($k = 0; $k <= $parts + 1; $k++) {
                $at = ($long * min($k, $parts)) / $parts;
                [$x, $y] = $this->place($edge, $at);
                $height = $k > $parts || ! $this->mayReach($water, $x, $y) ? INF : $this->model->heightAt($x, $y);
                $isPond = $water instanceof Stream && $this->model->ground->beyondPonds($x, $y) <= 0.0;
                if ($height < INF && ! $isPond && $water->under($x, $y, $height) > BodyFinder::THIN_MM) {
                    $bed[] = [$at, $height];
                } elseif ($bed !== []) {
                    $out[] = $this->dam($water, $edge, $bed);
                    $bed = [];
                }
            }
        }

        return $out;
    }

    /** @param  non-empty-list<array{float, float}>  $bed */
    private function dam(Basin|Stream $water, BoardEdge $edge, array $bed): Dam
    {
        $level = -INF;
        foreach ($bed as [$at]) {
            $level = max($level, $water->waterAt(...$this->place($edge, $at)) ?? -INF);
        }
        // It ends between the last place under water and the one beyond.
        $half = self::STEP_MM / 2.0;
        $middle = ($bed[0][0] + $bed[count($bed) - 1][0]) / 2.0;
        $long = $edge->length($this->model->width, $this->model->depth);

        return new Dam(
            $edge,
            max(0.0, $bed[0][0] - $half),
            min($long, $bed[count($bed) - 1][0] + $half),
            $bed,
            $level,
            ($this->joint)($edge, $middle),
        );
    }

    private function mayReach(Basin|Stream $water, float $x, float $y): bool
    {
        [$x1, $y1, $x2, $y2] = $water instanceof Basin
            ? Box::around($water->bank, 1.0)
            : Box::around($water->line, $water->width / 2.0 + 1.0);

        return $x >= $x1 && $x <= $x2 && $y >= $y1 && $y <= $y2;
    }

    /** @return array{float, float} a place on an edge */
    public function place(BoardEdge $edge, float $at): array
    {
        return $edge->place($at, $this->model->width, $this->model->depth);
    }
}
