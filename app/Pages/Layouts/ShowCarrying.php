<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Computed\Cuts\ComputedCuts;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\CarriedBoard;
use IdleRidge\Core\Cuts\LoadPlan;
use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\BoardSizes;
use IdleRidge\Core\Project\BoardWeight;

/** Through the door and into the vehicle: what the boards weigh and measure as they are carried, how they are loaded, what would go in. */
final readonly class ShowCarrying
{
    public function __construct(private ProjectLoader $load, private ComputedCuts $cuts)
    {
    }

    /** @return array<string, mixed> for the view layouts.carrying; `faults` of the size that was asked for, by field */
    public function of(Layout $layout, string $width, string $depth): array
    {
        $project = $this->load->of($layout);
        $build = $project->cuts()->board;
        $weights = $this->cuts->weights($project);
        $boards = [];
        foreach ($project->sections as $section) {
            $weight = $weights[$section->uid];
            $boards[] = new CarriedBoard($section->uid, $section->name, ...[...$weight->box, $weight->wet()]);
        }
        $sizes = BoardSizes::like(array_values($weights), $build);
        $plan = $build->load === null ? null : LoadPlan::of($build->load, $boards);
        $rows = array_map(fn (CarriedBoard $b): array => $this->board($b, $weights[$b->uid], $build, $plan), $boards);
        [$asked, $fault] = $this->asked($sizes, $width, $depth);

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'build' => $build,
            'rows' => $rows,
            'plan' => $plan,
            'loads' => $plan === null || $build->load === null ? [] : array_map(
                fn (int $n): array => [
                    'number' => $n,
                    'shelves' => array_map(
                        fn (int $shelf) => LoadDrawing::shelf($build->load, $plan->load($n), $shelf),
                        array_values(array_unique(array_column($plan->load($n), 'shelf'))),
                    ),
                    'side' => LoadDrawing::side($build->load, $plan->load($n)),
                    'weight' => Format::text(array_sum(array_map(fn ($one): float => $one->board->weight, $plan->load($n))), 'kg', 1),
                ],
                range(1, max(1, $plan->loads())),
            ),
            'high' => Format::length($sizes->high),
            'sizes' => array_map(
                fn (CarriedBoard $b): array => $this->size($b, $build),
                [...($asked === null ? [] : [$asked]), ...$sizes->common($project->layout->units)],
            ),
            'asked' => $asked !== null,
            'typed' => ['width' => $width, 'depth' => $depth],
            'faults' => $fault === null ? [] : [$fault->place => $fault->getMessage()],
        ];
    }

    /** @return array{CarriedBoard|null, InvalidValue|null} */
    private function asked(BoardSizes $sizes, string $width, string $depth): array
    {
        if ($width.$depth === '') {
            return [null, null];
        }
        try {
            return [$sizes->board(Amount::parse($width, 'mm', 'width'), Amount::parse($depth, 'mm', 'depth')), null];
        } catch (InvalidValue $fault) {
            return [null, $fault];
        }
    }

    /** @return array<string, mixed> */
    private function board(CarriedBoard $board, BoardWeight $weight, BoardBuild $build, ?LoadPlan $plan): array
    {
        $loaded = array_values(array_filter($plan->boards ?? [], fn ($one): bool => $one->board->uid === $board->uid))[0] ?? null;
        $lacks = $plan?->never[$board->uid] ?? null;
        $heavy = $lacks !== null && $build->load?->limit !== null && $board->weight > $build->load->limit;

        return [
            'uid' => $board->uid,
            'name' => $board->name,
            'size' => Format::several([$board->width, $board->depth, $board->height], 'mm'),
            'dry' => Format::text($weight->dry(), 'kg', 1),
            'wet' => Format::text($weight->wet(), 'kg', 1),
            'people' => $weight->people($build),
            'passes' => $weight->passes($build),
            'loaded' => $loaded === null ? null : ['load' => $loaded->load, 'shelf' => $loaded->shelf],
            'lacks' => $lacks === null ? null : ($heavy ? Format::text($lacks, 'kg', 1).' too heavy' : Format::length($lacks).' too large'),
        ];
    }

    /** @return array<string, mixed> */
    private function size(CarriedBoard $board, BoardBuild $build): array
    {
        return [
            'size' => Format::several([$board->width, $board->depth], 'mm'),
            'weight' => Format::text($board->weight, 'kg', 1),
            'people' => max(1, (int) ceil($board->weight / $build->lift - 1e-9)),
            'passes' => $build->passes([$board->width, $board->depth, $board->height]),
            'most' => $build->load === null ? null : LoadPlan::most($build->load, $board),
        ];
    }
}
