<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use App\Drawing\EdgesDrawing;
use App\Drawing\Svg;
use App\Workshop\Typed;
use IdleRidge\Core\Cuts\EdgeBoard;
use IdleRidge\Core\Measure\Refusal;
use IdleRidge\Core\Measure\Refusals;

/** The boards along a section's edges that follow the land. */
final class ShowEdges
{
    /** How much higher than the land they may stand, mm. */
    private const MOST = 400.0;

    /** @return array{boards: list<EdgeBoard>, drawing: Svg, rise: string, fault: string} what was typed stays where it cannot be */
    public function of(CutPage $page, string $rise): array
    {
        try {
            [$boards, $fault] = [$this->boards($page, $rise), ''];
        } catch (Refusals $refusals) {
            [$boards, $fault] = [$this->boards($page, ''), $refusals->all[0]->getMessage()];
        }

        return ['boards' => $boards, 'drawing' => EdgesDrawing::of($boards, $page->project->layout->units), 'rise' => $rise, 'fault' => $fault];
    }

    /**
     * @param string $rise as it was typed, over the land
     * @return list<EdgeBoard>
     *
     * @throws Refusals
     */
    public function boards(CutPage $page, string $rise): array
    {
        $typed = new Typed(['rise' => $rise], $page->project->layout->units);
        $over = $typed->length('rise', 0.0);
        $over = $typed->made(fn (): float => Refusal::unlessBetween($over, 0.0, self::MOST, 'What stands over the land', 'mm', 'rise'));
        $drop = $page->cuts->board->top + $page->cuts->board->timberHigh;

        return array_map(fn (string $edge): EdgeBoard => EdgeBoard::along($edge, $page->model()->heightAt(...), $page->section->width, $page->section->depth, $page->section->base, $drop, $over), EdgeBoard::EDGES);
    }
}
