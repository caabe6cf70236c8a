<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Computed\Cuts\CutResult;
use IdleRidge\Core\Cuts\Frame;
use IdleRidge\Core\Cuts\SheetPacking;
use IdleRidge\Core\Cuts\StandingFoam;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Tuples;
use IdleRidge\Core\Project\BoardWeight;
use IdleRidge\Core\Track\StructureKind;

/** What is under the land and what it comes to: frame, packing under level places, weight and whether it can be carried out. */
final class ShowBoard
{
    /**
     * @return array{frame: Frame, weight: BoardWeight, drawing: Svg, packings: list<array{name: string, packing: SheetPacking}>,
     *     lift: string, opening: string, isFoam: bool, stands: list<string>, typed: string}
     */
    public function of(CutResult $page): array
    {
        $build = $page->cuts->board;
        $weight = $page->weight;
        $frame = Frame::under($page->section->width, $page->section->depth, $build);

        return [
            'frame' => $frame,
            'weight' => $weight,
            'drawing' => FrameDrawing::of($page->section, $frame, $build, $weight),
            'packings' => $this->packings($page),
            'lift' => $this->lift($weight, $page),
            'opening' => $this->opening($weight, $page),
            'isFoam' => $page->stack() !== null,
            'stands' => array_map(fn (StandingFoam $f): string => $this->stands($f, $page), $page->section->standing),
            'typed' => Tuples::text(
                array_map(fn (StandingFoam $f): array => $f->values(), $page->section->standing),
                array_fill(0, 5, 'mm'),
            ),
        ];
    }

    /** What a block spares, and what has to be done to it. */
    private function stands(StandingFoam $block, CutResult $page): string
    {
        $base = $page->section->base;
        $size = Format::several([$block->width, $block->depth, $block->high], 'mm');
        $stack = $page->stack();
        if ($stack === null) {
            return "{$size}: ribs spare nothing of it; it has to lie under them.";
        }
        $filled = $stack->filledBy($block, $base);
        $last = end($filled);
        $over = $block->high - ($last === false ? 0.0 : $last->bottom + $last->thickness - $base);
        $rises = $block->rises($page->land(), $base) + $page->cuts->skin;
        $layers = match (true) {
            $last === false => 'fills no layer whole, so nothing is spared',
            count($filled) === 1 => 'is layer 1 there',
            default => "is layers 1 to {$last->index} there",
        };

        return "{$size}: {$layers}.".
            ($over > StandingFoam::SLACK_MM ? ' Cut '.Format::length($over, 1).' off its top, or the next layer lies hollow.' : '').
            ($rises - max(0.0, $over) > StandingFoam::SLACK_MM
                ? ' It rises '.Format::length($rises, 1).' over the land: carve it down.'
                : '');
    }

    /** What the rule about weight leaves unsaid. */
    private function lift(BoardWeight $weight, CutResult $page): string
    {
        return $weight->people($page->cuts->board) > 1
            ? ''
            : 'One person lifts it, wet too (limit '.Format::text($page->cuts->board->lift, 'kg', 1).').';
    }

    private function opening(BoardWeight $weight, CutResult $page): string
    {
        $passes = $weight->passes($page->cuts->board);
        $box =
            Format::several($weight->box, 'mm');

        return match (true) {
            $passes === null => "It takes {$box} with its frame; set an opening and this says whether it goes through.",
            $passes['fits'] => "It takes {$box} with its frame and goes through the opening.",
            default => "It takes {$box} with its frame: ".
                Format::length($passes['short']).
                ' too much for the opening.',
        };
    }

    /** @return list<array{name: string, packing: SheetPacking}> up to pads, and to the underside of decks at their ends */
    private function packings(CutResult $page): array
    {
        $out = [];
        $put = function (string $name, float $height) use (&$out, $page): void {
            if ($height > 0.2) {
                $out[] = ['name' => $name, 'packing' => SheetPacking::to($height, $page->cuts->packings())];
            }
        };
        foreach ($page->model()->ground->pads as $pad) {
            $put($pad->name, $pad->level - $page->section->base);
        }
        foreach ($page->runs() as [$run, $over]) {
            foreach ($run->structures as $structure) {
                foreach ($structure->kind === StructureKind::Bridge ? [$structure->from, $structure->to] : [] as $station) {
                    if ($station >= $over[0] && $station <= $over[1]) {
                        $put(
                            "{$run->name}, deck at ".Format::cell($station),
                            $run->grade->heightAt($station) - $structure->thick - $page->section->base,
                        );
                    }
                }
            }
        }

        return $out;
    }
}
