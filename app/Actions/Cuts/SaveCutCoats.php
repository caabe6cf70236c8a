<?php

declare(strict_types=1);

namespace App\Actions\Cuts;

use App\Actions\Coats\CoatRows;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\Cuts\ComputedCuts;
use App\Computed\Cuts\CutResult;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Models\Zone as ZoneRow;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\Works;

/**
 * Puts the cutting and gluing of a section's land on the schedule: coats over the whole board that all others go over, one for each
 * glue, with the minutes and the amounts that its pieces ask for, in as many goes as sessions make it.
 */
final readonly class SaveCutCoats
{
    /** A go is no longer than this where there are no sessions to go by, minutes. */
    private const USUAL_SESSION_MINUTES = 120;

    /** Glue → what is laid with it, from the board up: large faces first, small pieces on top. */
    private const RECIPES = ['adhesive' => 'foam-stack', 'contact' => 'foam-stack-contact', 'hot melt' => 'foam-stack-melt'];

    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private ComputedCuts $desk,
        private ComputedPlan $plan,
        private Library $library,
        private CoatRows $coatRows,
    ) {
    }

    /** @return list<Coat> the coats that stand for it, one for each glue */
    public static function coatsOf(Works $works, string $section): array
    {
        $out = [];
        foreach ($works->zonesOf($section) as $zone) {
            foreach ($works->coatsOf($zone->uid) as $coat) {
                if ($coat->recipe->stage === Stage::Form && $coat->recipe->is(RecipeTrait::Stack, RecipeTrait::Card)) {
                    $out[] = $coat;
                }
            }
        }

        return $out;
    }

    /** @throws InvalidValue when there is nothing to cut, or it was begun */
    public function put(Layout $layout, SectionRow $row): string
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $page = $this->desk->page($project, $section);
        if ($page->stack()?->layers === []) {
            throw new InvalidValue('There is no land above the board yet, so nothing is to be cut.', 'cuts');
        }
        $old = self::coatsOf($project->works, $section->uid);
        $uids = array_map(fn (Coat $c): string => $c->uid, $old);
        if (array_filter($project->works->laid, fn (CoatApplication $l): bool => in_array($l->coat, $uids, true)) !== []) {
            throw new InvalidValue('It was begun already, and stays as it is.', 'cuts');
        }
        $sessions = $this->plan->planOf($project, $this->plan->minute())->work->sessions;
        $longest = max([0, ...array_map(fn (array $s): int => $s[1] - $s[0], $sessions)]) ?: self::USUAL_SESSION_MINUTES;

        return $this->ledger->record($layout, 'Cutting put on the schedule', function (ChangeSet $changes) use (
            $layout,
            $page,
            $project,
            $old,
            $longest,
        ): string {
            $zone = $old === [] ? $this->board($changes, $layout, $project->works, $page->section->uid) : $old[0]->zone;
            $goes = 0;
            foreach ($this->coats($page, $zone, $longest) as $coat) {
                $goes += $coat->passes;
                $standing = array_filter($old, fn (Coat $c): bool => $c->recipe->id === $coat->recipe->id);
                if ($standing === []) {
                    $this->coatRows->add($changes, $layout, $this->load->works($layout)->coatsOf($zone), [$coat]);
                } else {
                    $changes->save($layout->coats()->where('uid', reset($standing)->uid)->firstOrFail()->keep(WorksFile::fromCoat($coat)));
                    $old = array_diff_key($old, $standing);
                }
            }
            foreach ($old as $gone) {
                $changes->delete($layout->coats()->where('uid', $gone->uid)->firstOrFail());
            }

            return $goes === 1 ? 'On the schedule, in one go.' : "On the schedule, in {$goes} goes.";
        });
    }

    /** @return list<Coat> each in as many goes as sessions make it */
    private function coats(CutResult $page, string $zone, int $longest): array
    {
        $goes = fn (float $minutes): int => min(30, max(1, (int) ceil($minutes / $longest - 1e-9)));
        $gluing = $page->stack() === null ? null : $this->desk->gluing($page);
        if ($gluing === null) {
            $count = $goes($page->minutes());

            return [
                new Coat(
                    $this->rows->uid(),
                    $zone,
                    $this->library->recipe('shell-web'),
                    1.0 / $count,
                    1.0,
                    $count,
                    '',
                    [],
                    max(1.0, $page->minutes() / $count),
                ),
            ];
        }
        $out = [];
        $amounts = $gluing->amounts();
        foreach (self::RECIPES as $glue => $id) {
            $ml = $amounts[$glue] ?? 0.0;
            if ($ml <= 0.0) {
                continue;
            }
            $recipe = $this->library->recipe($id);
            // Work goes by what is glued with it; what is used up is what the joints take, waste in it.
            $minutes = ($page->minutes() * $gluing->areaOf($glue)) / max(1.0, $gluing->areaOf());
            $count = $goes($minutes);
            $mm = ($ml * 1000.0) / (1.0 + $recipe->waste) / max(1.0, $page->land()->surface()) / $count;
            $out[] = new Coat($this->rows->uid(), $zone, $recipe, max(0.01, $mm), 1.0, $count, '', [], max(1.0, $minutes / $count));
        }

        return $out;
    }

    /** The zone that is the whole board, new where there is none. */
    private function board(ChangeSet $changes, Layout $layout, Works $works, string $section): string
    {
        $zones = $works->zonesOf($section);
        foreach ($zones as $zone) {
            if ($zone->isWhole()) {
                return $zone->uid;
            }
        }
        $names = array_map(fn (Zone $z): string => mb_strtolower($z->name), $zones);
        $zone = new Zone($this->rows->uid(), $section, in_array('the board', $names, true) ? 'The board, whole' : 'The board');
        $this->rows->add($changes, $layout, ZoneRow::class, WorksFile::fromZone($zone));

        return $zone->uid;
    }
}
