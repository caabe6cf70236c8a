<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Actions\Ledger\Ledger;
use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Computed\UnreadableLayout;
use App\Models\Layout;
use App\Pages\Rail\ShowRail;
use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Rulebook\Land\JointsAgree;

/** The list of layouts, and one layout's sheet. */
final readonly class ShowLayouts
{
    public function __construct(private ProjectLoader $load, private Ledger $ledger, private ComputedLand $desk, private ShowRail $rail)
    {
    }

    /**
     * @param  string|null  $justAway uid of a layout that was put away a moment ago: its place says so
     * @return array<string, mixed> for the view layouts.index
     */
    public function all(?string $justAway): array
    {
        $cards = [];
        $isHere = fn ($query) => $query->whereNull('removed_at')->orWhere('uid', (string) $justAway);
        foreach (Layout::query()->where($isHere)->orderBy('id')->get() as $layout) {
            if ($layout->removed_at !== null) {
                $cards[] = ['layout' => $layout, 'project' => null, 'boards' => null, 'broken' => null];

                continue;
            }
            try {
                $project = $this->load->of($layout);
                $cards[] = ['layout' => $layout, 'project' => $project, 'boards' => $this->boards($project, 190.0), 'broken' => null];
            } catch (UnreadableLayout $unreadable) {
                $cards[] = ['layout' => $layout, 'project' => null, 'boards' => null, 'broken' => $this->broken($unreadable)];
            }
        }

        $away = Layout::query()->whereNotNull('removed_at')->where('uid', '<>', (string) $justAway)->orderByDesc('removed_at')->get();

        return [
            'cards' => $cards,
            'away' => $away->map(fn (Layout $layout): array => [
                'layout' => $layout,
                'on' => (new DateTimeImmutable((string) $layout->removed_at, new DateTimeZone('UTC')))
                    ->setTimezone(new DateTimeZone($layout->zone))
                    ->format('D j M Y'),
            ])->all(),
        ];
    }

    /** @return array<string, mixed> for the view layouts.broken */
    public function broken(UnreadableLayout $unreadable): array
    {
        $layout = $unreadable->layout;

        return [
            'layout' => $layout,
            'faults' => $unreadable->faults->all,
            'undo' => $this->ledger->next($layout)['undo'],
            'seen' => $this->ledger->newest($layout)?->id,
        ];
    }

    /**
     * @param  string|null  $pick uid of the board in hand; the first one where there is none of it
     * @param  bool  $atOnce whether a sketch of the land is enough, as for a board that was let go
     * @return array<string, mixed> for the view layouts.settings
     */
    public function one(Layout $layout, ?string $pick = null, bool $atOnce = false): array
    {
        $project = $this->load->of($layout);
        $sections = $layout->sections()->get();
        $picked = $sections->firstWhere('uid', $pick) ?? $sections->first();
        [$standsIn, $contours] = [[], $this->contours($project, $atOnce)];
        foreach ($project->sections as $section) {
            $standsIn[$section->uid] = $project->works->room($section)->name;
        }

        return [
            'layout' => $layout,
            'project' => $project,
            'sheet' => $project->layout,
            'sections' => $sections,
            'picked' => $picked,
            'standsIn' => $standsIn,
            'states' => array_column($this->rail->of($project, null), null, 'uid'),
            'plan' => LayoutPlanDrawing::of(
                $project,
                $contours,
                $standsIn,
                $picked?->uid,
                $steps = $this->steps($project),
            ),
            'steps' => $steps,
            'bays' => $this->bays($project, $contours),
            'next' => $this->ledger->next($layout),
            'zones' => DateTimeZone::listIdentifiers(),
            'rooms' => $project->works->rooms,
            'held' => array_values(array_map(fn (Section $s): string => $s->uid, array_filter($project->sections, $project->isHeld(...)))),
            'roomSince' => fn (Room $room): string => (new DateTimeImmutable('@'.(int) $room->since * 60))
                ->setTimezone(new DateTimeZone($project->layout->zone))
                ->format('D j M, H:i'),
        ];
    }

    /** @return list<Finding> where land steps at joints */
    private function steps(Project $project): array
    {
        $found = [];
        foreach ($project->sections as $section) {
            // Only beside a level board does the step depend on the land.
            $steps = JointsAgree::levelBeside($project, $section) === []
                ? JointsAgree::fixedApart($project, $section)
                : array_filter(
                    $this->desk->sheet($project, $section)->findings,
                    fn (Finding $f): bool => in_array($f->id, (new JointsAgree)->ids(), true),
                );
            array_push($found, ...$steps);
        }

        return $found;
    }

    /**
     * @param  array<string, list<list<array{float, float}>>>  $contours section uid → lines in its coordinates
     * @return list<array{room: Room, boards: list<array{uid: string, drawing: Svg}>}> the rooms, and what stands in each
     */
    private function bays(Project $project, array $contours): array
    {
        $bays = [];
        foreach ($project->works->rooms as $room) {
            $stand = array_filter($project->sections, fn (Section $s): bool => $project->works->room($s)->uid === $room->uid);
            $bays[] = [
                'room' => $room,
                'boards' => array_values(array_map(
                    fn (Section $s): array => ['uid' => $s->uid, 'drawing' => CarriedDrawing::of($s, $project, $room, $contours[$s->uid])],
                    $stand,
                )),
            ];
        }

        return $bays;
    }

    private function boards(Project $project, float $height): ?Svg
    {
        return BoardsDrawing::of($project, $this->contours($project), 760.0, $height);
    }

    /** @return array<string, list<list<array{float, float}>>> section uid → lines in its coordinates */
    private function contours(Project $project, bool $atOnce = false): array
    {
        if (! $atOnce) {
            return $this->desk->thumbs($project);
        }
        $contours = [];
        foreach ($project->sections as $section) {
            $contours[$section->uid] = $this->desk->sketch($project, $section);
        }

        return $contours;
    }
}
