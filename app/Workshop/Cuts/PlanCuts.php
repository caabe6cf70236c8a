<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use App\Models\Coat as CoatRow;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Models\Zone as ZoneRow;
use App\Workshop\KeptRows;
use App\Workshop\LoadProject;
use App\Workshop\Plan\PlanDesk;
use App\Workshop\Revising\Changes;
use App\Workshop\Revising\Ledger;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Laid;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\Refusal;
use IdleRidge\Core\Project\Works;

/**
 * Puts the cutting and gluing of a section's land on the schedule: one coat over the whole board that all others go over, with the
 * minutes and the glue that its pieces ask for, in as many goes as sessions make it.
 */
final readonly class PlanCuts
{
    /** A go is no longer than this where there are no sessions to go by, minutes. */
    private const EVENING = 120;

    public function __construct(private Ledger $ledger, private KeptRows $rows, private LoadProject $load, private CutDesk $desk, private PlanDesk $plan, private Library $library)
    {
    }

    /** The coat that stands for it; null where it is not on the schedule. */
    public static function coatOf(Works $works, string $section): ?Coat
    {
        foreach ($works->zonesOf($section) as $zone) {
            foreach ($works->coatsOf($zone->uid) as $coat) {
                if ($coat->recipe->stage === Stage::Form) {
                    return $coat;
                }
            }
        }

        return null;
    }

    /** @throws Refusal when there is nothing to cut, or it was begun */
    public function put(Layout $layout, SectionRow $row): string
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $page = $this->desk->page($project, $section);
        if ($page->stack()?->layers === []) {
            throw new Refusal('There is no land above the board yet, so nothing is to be cut.', 'cuts');
        }
        $old = self::coatOf($project->works, $section->uid);
        if ($old !== null && array_filter($project->works->laid, fn (Laid $l): bool => $l->coat === $old->uid) !== []) {
            throw new Refusal('It was begun already, and stays as it is.', 'cuts');
        }
        $sessions = $this->plan->planOf($project, $this->plan->minute())->work->sessions;
        $longest = max([0, ...array_map(fn (array $s): int => $s[1] - $s[0], $sessions)]) ?: self::EVENING;
        $goes = min(30, max(1, (int) ceil($page->minutes() / $longest - 1e-9)));

        return $this->ledger->record($layout, 'Cutting put on the schedule', function (Changes $changes) use ($layout, $page, $project, $old, $goes): string {
            $zone = $old === null ? $this->board($changes, $layout, $project->works, $page->section->uid) : $old->zone;
            $coat = $this->coat($page, $old->uid ?? $this->rows->uid(), $zone, $goes);
            if ($old === null) {
                $this->rows->add($changes, $layout, CoatRow::class, WorksFile::fromCoat($coat));
            } else {
                $changes->save($layout->coats()->where('uid', $old->uid)->firstOrFail()->keep(WorksFile::fromCoat($coat)));
            }
            $this->rows->whole($layout);

            return $goes === 1 ? 'On the schedule, in one go.' : "On the schedule, in {$goes} goes.";
        });
    }

    private function coat(CutPage $page, string $uid, string $zone, int $goes): Coat
    {
        $minutes = max(1.0, $page->minutes() / $goes);
        $stack = $page->stack();
        if ($stack === null) {
            return Coat::of($uid, $zone, $this->library->recipe('shell-web'), 1.0 / $goes, 1.0, $goes, '', [], $minutes);
        }
        $amounts = $this->desk->gluing($page)?->amounts() ?? [];
        arsort($amounts);
        $recipe = $this->library->recipe(array_key_first($amounts) === 'contact' ? 'foam-stack-contact' : 'foam-stack');
        $mm = array_sum($amounts) * 1000.0 / max(1.0, $page->land()->surface()) / $goes;

        return Coat::of($uid, $zone, $recipe, max(0.01, $mm), 1.0, $goes, '', [], $minutes);
    }

    /** The zone that is the whole board, new where there is none. */
    private function board(Changes $changes, Layout $layout, Works $works, string $section): string
    {
        $zones = $works->zonesOf($section);
        foreach ($zones as $zone) {
            if ($zone->isWhole()) {
                return $zone->uid;
            }
        }
        $names = array_map(fn (Zone $z): string => mb_strtolower($z->name), $zones);
        $zone = Zone::of($this->rows->uid(), $section, in_array('the board', $names, true) ? 'The board, whole' : 'The board');
        $this->rows->add($changes, $layout, ZoneRow::class, WorksFile::fromZone($zone));

        return $zone->uid;
    }
}
