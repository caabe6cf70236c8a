<?php

declare(strict_types=1);

namespace App\Actions\Coats;

use App\Actions\FormInput;
use App\Actions\Journal\SaveJournal;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\Journal\JournalRows;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Trial as TrialRow;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\OwnRecipe;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Interchange\JournalFile;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Journal\Trial;
use IdleRidge\Core\Journal\TrialFigures;
use IdleRidge\Core\Journal\Verdict;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Track\StartingValues;

/** Trials on scrap: begun with what the recipe says of so much area, filled in with what was seen, made a recipe of one's own. */
final readonly class SaveTrial
{
    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private Library $library,
        private SaveJournal $journal,
        private SaveRecipe $recipes,
    ) {
    }

    /** @param  array<string, mixed>  $input name, recipe (id), wide, deep (mm of scrap), mm */
    public function begin(Layout $layout, array $input): Trial
    {
        $typed = new FormInput($input);
        $library = $this->library->with(OwnRecipe::recipes($this->load->works($layout)->recipes));
        $project = $this->load->of($layout);
        $work = new BenchWork($project, [], $this->desk->minute());
        $room = $project->works->rooms[0] ?? Room::standard();
        $dry = fn (Recipe $recipe, float $mm): float => $work
            ->dryingIn($room)
            ->reached($recipe->cure, Milestone::TouchDry, $mm, $work->now, 0.5) - $work->now;
        $trial = $typed->made(function () use ($typed, $library, $dry): Trial {
            $recipe = $library->recipe($typed->text('recipe'));
            $area = $typed->amount('wide', 'mm', StartingValues::scrap()) * $typed->amount('deep', 'mm', StartingValues::scrap());
            $mm = $typed->amount('mm', 'mm', $recipe->cure->referenceMm);
            $amounts = TrialFigures::amounts($recipe, $area, $mm);

            return new Trial(
                $this->rows->uid(),
                $this->desk->minute(),
                Words::plain($typed->text('name')),
                $recipe->id,
                $recipe->name,
                $area,
                $mm,
                array_map(
                    fn (MaterialAmount $a): array => [
                        'material' => $a->material,
                        'unit' => $a->unit,
                        'said' => round($a->amount, 2),
                        'used' => round($a->amount, 2),
                    ],
                    $amounts,
                ),
                round($recipe->labour->minutes($area, sqrt($area), $recipe->layers($mm)), 1),
                isset($recipe->cure->minutes[Milestone::TouchDry->value]) ? round($dry($recipe, $mm), 1) : null,
            );
        });
        $this->ledger->record(
            $layout,
            "Trial “{$trial->name}” begun",
            fn (ChangeSet $changes) => $this->rows->add($changes, $layout, TrialRow::class, JournalFile::fromTrial($trial)),
        );

        return $trial;
    }

    /** @param  array<string, mixed>  $input name, used[k], minutes, dry, verdict, note */
    public function fill(Layout $layout, TrialRow $row, array $input): void
    {
        $typed = new FormInput($input);
        $trial = JournalRows::trial($row);
        $number = fn (string $field): ?float => $typed->text($field) === '' ? null : $typed->number($field);
        $changed = $typed->made(
            fn (): Trial => $trial->but(
                name: Words::plain($typed->text('name', $trial->name)),
                amounts: array_map(
                    fn (array $one, int $k): array => [
                        'used' => $typed->amount("used.{$k}", $one['unit'], $one['used'], $one['used']),
                    ] + $one,
                    $trial->amounts,
                    array_keys($trial->amounts),
                ),
                minutes: $number('minutes'),
                dry: $number('dry'),
                verdict: Verdict::tryFrom($typed->text('verdict')),
                note: Words::plain($typed->text('note')),
            ),
        );
        $sentence = "Trial “{$changed->name}” written down";
        $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use ($layout, $row, $changed, $trial): void {
            $changes->save($row->keep(JournalFile::fromTrial($changed)));
            $first = $layout->sections()->value('uid');
            $isNews = [$changed->verdict, $changed->note, $changed->name] !== [$trial->verdict, $trial->note, $trial->name];
            if ($changed->verdict !== null && $first !== null && $isNews) {
                $said = "{$changed->name}, {$changed->title} on scrap: {$changed->verdict->value}";
                $more = $changed->note === '' ? '' : ". {$changed->note}";
                $this->journal->write($layout, JournalKind::Tried, $first, null, $said.$more);
            }
        });
    }

    /**
     * A recipe of one's own with the figures that were seen.
     *
     * @return string its id
     *
     * @throws InvalidValue when nothing was measured
     */
    public function promote(Layout $layout, TrialRow $row): string
    {
        $trial = JournalRows::trial($row);
        $library = $this->library->with(OwnRecipe::recipes($this->load->works($layout)->recipes));
        $recipe = $library->recipe($trial->recipe);
        $figures = (new TrialFigures($trial, $recipe))->figures(RecipeFile::write($recipe));
        if ($figures === []) {
            throw new InvalidValue('Nothing was measured that is otherwise than the recipe says.', 'trial');
        }

        return $this->recipes->learn($layout, $recipe->id, ['copy' => $trial->name, 'note' => mb_substr($trial->note, 0, 500)] + $figures);
    }

    public function putAway(Layout $layout, TrialRow $row): void
    {
        $name = JournalRows::trial($row)->name;
        $this->ledger->record($layout, "Trial “{$name}” put away", fn (ChangeSet $changes) => $changes->delete($row));
    }
}
