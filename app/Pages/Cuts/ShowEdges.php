<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Actions\FormInput;
use App\Computed\Cuts\CutResult;
use IdleRidge\Core\Cuts\EdgeBoard;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;

/** The boards along a section's edges that follow the land. */
final class ShowEdges
{
    /** How much higher than the land they may stand, mm. */
    private const MAX_ABOVE_LAND_MM = 400.0;

    /** @return array{boards: list<EdgeBoard>, drawing: Svg, rise: string, fault: string} what was typed stays where it cannot be */
    public function of(CutResult $page, string $rise): array
    {
        try {
            [$boards, $fault] = [$this->boards($page, $rise), ''];
        } catch (InvalidValues $refusals) {
            [$boards, $fault] = [$this->boards($page, ''), $refusals->all[0]->getMessage()];
        }

        return [
            'boards' => $boards,
            'drawing' => EdgesDrawing::of($boards),
            'rise' => $rise,
            'fault' => $fault,
        ];
    }

    /**
     * @param  string  $rise as it was typed, over the land
     * @return list<EdgeBoard>
     *
     * @throws InvalidValues
     */
    public function boards(CutResult $page, string $rise): array
    {
        $typed = new FormInput(['rise' => $rise]);
        $over = $typed->length('rise', 0.0);
        $over = $typed->made(
            fn (): float => InvalidValue::unlessBetween($over, 0.0, self::MAX_ABOVE_LAND_MM, 'What stands over the land', 'mm', 'rise'),
        );
        $drop = $page->cuts->board->top + $page->cuts->board->timberHigh;

        return array_map(
            fn (BoardEdge $edge): EdgeBoard => EdgeBoard::along(
                $edge,
                $page->model()->heightAt(...),
                $page->section->width,
                $page->section->depth,
                $page->section->base,
                $drop,
                $over,
            ),
            BoardEdge::cases(),
        );
    }
}
