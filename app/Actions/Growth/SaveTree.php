<?php

declare(strict_types=1);

namespace App\Actions\Growth;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Stand as StandRow;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\GrowthFile;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Project\GrowthStudy;
use IdleRidge\Core\Project\Project;

/** Single trees of a stand: set, moved, changed, taken out, by hand; they stay where they are when it is planted anew. */
final readonly class SaveTree
{
    public function __construct(private Ledger $ledger, private ProjectLoader $load)
    {
    }

    /**
     * @param  array<string, mixed>  $input x, y (mm on the board), species (its number), height (mm); the rest is as its species grows
     */
    public function add(Layout $layout, StandRow $row, array $input): int
    {
        [$project, $stand, $typed] = $this->open($layout, $row, $input);
        $section = $project->section($stand->section);
        $species = (int) $typed->number('species', 0.0);
        $tree = $typed->made(function () use ($typed, $project, $stand, $section, $species): Tree {
            $kind = $stand->mix[$species] ?? throw new InvalidValue('The stand has no such species.', 'species');
            [$x, $y] = [$typed->length('x'), $typed->length('y')];
            $to = (new GrowthStudy($project))->depth($section)->scale($x, $y);
            [$heightM] = $kind->at(0.5);
            $height = $typed->length('height', $project->layout->scale->toModel(1000.0 * $heightM) * $to);
            $crownM = $kind->crownAt($project->layout->scale->toPrototype($height / $to) / 1000.0);

            return self::onBoard($project, $stand, new Tree(
                $x,
                $y,
                $species,
                $height,
                $project->layout->scale->toModel(1000.0 * $crownM) * $to,
                $typed->text('dead') === '1',
                true,
            ));
        });
        $this->keep($layout, $row, $stand->but(trees: [...$stand->trees, $tree]), "A tree set in {$stand->name}");

        return count($stand->trees);
    }

    /** @param  array<string, mixed>  $input x, y or dx, dy (mm on the board), height, crown, species, dead, fixed; out = 1 takes it out */
    public function change(Layout $layout, StandRow $row, int $index, array $input): void
    {
        [$project, $stand, $typed] = $this->open($layout, $row, $input);
        $old = $stand->trees[$index] ?? throw new InvalidValue('That tree is gone; another device may have taken it out.', 'tree');
        if ($typed->text('out') === '1') {
            $left = $stand->trees;
            array_splice($left, $index, 1);
            $this->keep($layout, $row, $stand->but(trees: $left), "A tree taken out of {$stand->name}");

            return;
        }
        $here = $project->section($stand->section)->placement->toSection(new Point($old->x, $old->y));
        $tree = $typed->made(fn (): Tree => self::onBoard($project, $stand, new Tree(
            $typed->length('x', $here->x, $here->x, 1) + $typed->length('dx', 0.0),
            $typed->length('y', $here->y, $here->y, 1) + $typed->length('dy', 0.0),
            (int) $typed->number('species', (float) $old->species),
            $typed->length('height', $old->height, $old->height),
            $typed->length('crown', $old->crown, $old->crown),
            $typed->has('dead') ? $typed->text('dead') === '1' : $old->dead,
            $typed->has('fixed') ? $typed->text('fixed') === '1' : true,
        )));
        $trees = $stand->trees;
        $trees[$index] = $tree;
        $this->keep($layout, $row, $stand->but(trees: array_values($trees)), "A tree of {$stand->name} set anew");
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array{Project, Stand, FormInput}
     */
    private function open(Layout $layout, StandRow $row, array $input): array
    {
        $project = $this->load->of($layout);

        return [
            $project,
            $project->works->growth->stand($row->uid) ?? throw new InvalidValue('The stand is gone.', 'tree'),
            new FormInput($input),
        ];
    }

    /**
     * @param  Tree  $tree in the section's coordinates
     *
     * @throws InvalidValue
     */
    private static function onBoard(Project $project, Stand $stand, Tree $tree): Tree
    {
        $section = $project->section($stand->section);
        if ($tree->x < 0.0 || $tree->y < 0.0 || $tree->x > $section->width || $tree->y > $section->depth) {
            throw new InvalidValue(
                'That is beside the board, which is '.Format::several([$section->width, $section->depth], 'mm', 1).'.',
                'x',
            );
        }

        return $tree->placed($section->placement);
    }

    private function keep(Layout $layout, StandRow $row, Stand $stand, string $sentence): void
    {
        $this->ledger->record(
            $layout,
            $sentence,
            fn (ChangeSet $changes) => $changes->save($row->keep(GrowthFile::fromStand($stand))),
        );
    }
}
