<?php

declare(strict_types=1);

namespace App\Pages\Journal;

use App\Computed\Journal\JournalRows;
use App\Computed\Library\LibraryFiles;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Shelf\MaterialLot;

/** The build-up of one zone held against another: what was laid from which lots, what would be taken today, how far pictures are apart. */
final readonly class ShowMatch
{
    public function __construct(private ProjectLoader $load, private ShowRail $rail)
    {
    }

    /**
     * @param  string  $from zone (uid) that is to be matched; $to the one that is to look like it
     * @return array<string, mixed> for the view journal.match
     */
    public function of(Layout $layout, string $from, string $to): array
    {
        $project = $this->load->of($layout);
        $zones = array_column($project->works->zones, null, 'uid');
        $names = [];
        foreach ($project->sections as $section) {
            foreach ($project->works->zonesOf($section->uid) as $zone) {
                $names[$zone->uid] = "{$section->name}, {$zone->name}";
            }
        }
        [$source, $target] = [$zones[$from] ?? null, $zones[$to] ?? null];
        $photos = array_values(array_map(JournalRows::photo(...), $layout->photos()->here()->get()->all()));
        [$one, $other] = [self::picture($photos, $source), self::picture($photos, $target)];

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'rail' => $this->rail->of($project, null),
            'names' => $names,
            'source' => $source,
            'target' => $target,
            'rows' => $source === null ? [] : $this->rows($project, $source, $target),
            'bare' => $target !== null && self::coatsOn($project, $target) === [],
            'one' => $one,
            'other' => $other,
            'apart' => $one === null || $other === null ? null : ShowPhoto::apart($one, $other),
        ];
    }

    /** @return list<array<string, mixed>> coat by coat, from below */
    private function rows(Project $project, Zone $source, ?Zone $target): array
    {
        $there = $target === null ? [] : self::coatsOn($project, $target);
        $colours = array_column($project->works->colours, null, 'uid');
        $rows = [];
        foreach (self::coatsOn($project, $source) as $k => $coat) {
            $laid = array_filter($project->works->laid, fn (CoatApplication $l): bool => $l->coat === $coat->uid && $l->endedAt !== null);
            $colour = $colours[$coat->colour ?? ''] ?? null;
            $rows[] = [
                'title' => $coat->title(),
                'how' => Format::length($coat->mm, 1).($coat->passes > 1 ? ", {$coat->passes} passes" : '').
                    ($coat->share < 1.0 ? ', over '.Decimal::trimmed(100.0 * $coat->share, 0).' %' : ''),
                'colour' => $colour?->name,
                'hex' => $colour?->wet(LibraryFiles::basePaints())->dry()->toHex(),
                'mix' => $colour?->words() ?? '',
                'laid' => $laid !== [],
                'lots' => $this->lots($project, array_values($laid)),
                'same' => ($there[$k] ?? null)?->recipe->id === $coat->recipe->id && ($there[$k]->colour ?? null) === $coat->colour,
                'there' => isset($there[$k]) ? $there[$k]->title() : '',
            ];
        }

        return $rows;
    }

    /**
     * @param  list<CoatApplication>  $laid
     * @return list<array{material: string, was: string, now: string, differs: bool}> what it was drawn from, and what would be drawn today
     */
    private function lots(Project $project, array $laid): array
    {
        $store = $project->works->store;
        $was = [];
        foreach ($laid as $one) {
            foreach ($store->lotsIn($one->uid) as $lot) {
                $was[$lot->material][$lot->uid] = $lot->called();
            }
        }
        $out = [];
        foreach ($was as $material => $lots) {
            $open = array_filter($store->lotsOf((string) $material), fn (MaterialLot $l): bool => $store->amount($l->uid) > 0.0);
            $now = array_values($open)[0] ?? null;
            $out[] = [
                'material' => (string) $material,
                'was' => implode(', ', $lots),
                'now' => $now?->called() ?? 'none in store',
                'differs' => $now === null || ! isset($lots[$now->uid]),
            ];
        }

        return $out;
    }

    /** @return list<Coat> */
    private static function coatsOn(Project $project, Zone $zone): array
    {
        return array_values(array_filter($project->works->coats, fn (Coat $c): bool => $c->zone === $zone->uid));
    }

    /**
     * @param  list<Photo>  $photos
     * @return Photo|null the newest of a zone whose colour was touched, or else the newest
     */
    private static function picture(array $photos, ?Zone $zone): ?Photo
    {
        $of = array_values(array_filter($photos, fn (Photo $p): bool => $zone !== null && $p->zone === $zone->uid));
        usort($of, fn (Photo $a, Photo $b): int => [$b->patch !== null, $b->at] <=> [$a->patch !== null, $a->at]);

        return $of[0] ?? null;
    }
}
