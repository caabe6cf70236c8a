<?php

declare(strict_types=1);

namespace App\Pages\Journal;

use App\Computed\Journal\JournalSearch;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Rail\ShowRail;
use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Cure\AirSpan;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\RoomAir;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Journal\Verdict;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** What was done and seen, the latest day first; what was looked for; one entry with all that is known of it. */
final readonly class ShowJournal
{
    private const ENTRIES_A_PAGE = 60;

    private const FIELDS = ['words', 'zone', 'coat', 'material', 'lot', 'section', 'from', 'to', 'picture', 'verdict'];

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ShowRail $rail,
        private JournalSearch $search,
    ) {
    }

    /**
     * @param  array<string, mixed>  $query fields of the search; entry (uid that is open); before (where the page before ended)
     * @return array<string, mixed> for the view journal.show
     */
    public function of(Layout $layout, array $query): array
    {
        $project = $this->load->of($layout);
        $query = array_filter($query, is_string(...));
        $by = array_intersect_key($query, array_flip(self::FIELDS)) + array_fill_keys(self::FIELDS, '');
        $by = array_map(trim(...), $by);
        $page = $this->search->page($layout, $this->moments($by, $layout->zone), $query['before'] ?? '', self::ENTRIES_A_PAGE);
        $words = EntryWords::in($project, $this->desk->minute());
        $additions = $this->search->additions($layout, $page['entries']);
        $photos = $this->search->photos($layout, $page['entries']);
        $days = [];
        foreach ($page['entries'] as $entry) {
            $days[$words->day($entry)][] = $words->of($entry, $additions[$entry->uid] ?? [], $photos[$entry->uid] ?? []);
        }
        $looked = array_filter($by, fn (string $v): bool => $v !== '');

        return [
            'layout' => $layout,
            'days' => $days,
            'count' => $this->search->count($layout),
            'by' => $by,
            'looked' => $looked,
            'before' => $page['before'] === null ? null : ['before' => $page['before']] + $looked,
            'sections' => array_column(array_map(fn (Section $s): array => [$s->uid, $s->name], $project->sections), 1, 0),
            'verdicts' => array_map(fn (Verdict $v): string => $v->value, Verdict::cases()),
            'first' => $project->sections[0] ?? null,
            'rail' => $this->rail->of($project, null),
            'open' => $this->entry($layout, $project, $words, $query['entry'] ?? ''),
        ];
    }

    /**
     * Days as moments of UTC: from their beginning to the beginning of the next.
     *
     * @param  array<string, string>  $by
     * @return array<string, string>
     */
    private function moments(array $by, string $zone): array
    {
        foreach (['from' => 0, 'to' => 1] as $key => $more) {
            $day = DateTimeImmutable::createFromFormat('!Y-m-d', $by[$key], new DateTimeZone($zone));
            $by[$key] =
                $day === false || $day->format('Y-m-d') !== $by[$key]
                    ? ''
                    : $day->modify("+{$more} day")->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d\TH:i\Z');
        }

        return $by;
    }

    /** @return array<string, mixed>|null an entry with all that is known of it; null where none is asked for */
    private function entry(Layout $layout, Project $project, EntryWords $words, string $uid): ?array
    {
        $entry = $uid === '' ? null : $this->search->entry($layout, $uid);
        if ($entry === null) {
            return null;
        }
        $entry = $entry->about === null ? $entry : $this->search->entry($layout, $entry->about) ?? $entry;
        $alike = $this->search->alike($layout, $entry);

        return $words->of(
            $entry,
            $this->search->additions($layout, [$entry])[$entry->uid] ?? [],
            $this->search->photos($layout, [$entry])[$entry->uid] ?? [],
        ) + [
            'day' => $words->day($entry),
            'cure' => $this->cure($project, $entry, $words),
            'alike' => array_map(fn (JournalEntry $one): array => $words->of($one), $alike),
            'zone' => $entry->work->zone ?? '',
            'about' => $entry,
        ];
    }

    /** @return array{until: string, air: string}|null the room's air from its end until it was ready for more */
    private function cure(Project $project, JournalEntry $entry, EntryWords $words): ?array
    {
        $begun = [...$project->works->laid, ...$project->works->stripped];
        $laid = array_column($begun, null, 'uid')[$entry->laid ?? ''] ?? null;
        if ($entry->kind !== JournalKind::Done || $laid?->endedAt === null) {
            return null;
        }
        $work = new BenchWork($project, [], $this->desk->minute());
        $until = min($work->now, (int) ceil($work->reached($laid, Milestone::NextCoat, 0.5)));
        $section = $project->section($laid->section);
        $zone = new DateTimeZone($project->layout->zone);
        $works = $project->works;
        $room = $works->room($section);
        $before = $section->stood === [] ? null : RoomAir::before($section->stood, $works->rooms, $works->logs, $zone);
        $since = $section->stood === [] ? PHP_INT_MIN : max(array_column($section->stood, 0));
        $air = AirSpan::over(new RoomAir($room, $zone, $works->logs[$room->uid] ?? null, $before, $since), $laid->endedAt, $until);

        return [
            'until' => ($until === $work->now ? 'so far, to ' : 'to ').$words->moment($until),
            'air' => self::span($air->temperature, 1, '°C').'; '.self::span($air->humidity, 0, '%'),
        ];
    }

    /** @param  array{float, float, float}  $three */
    private static function span(array $three, int $decimals, string $unit): string
    {
        [$low, $mean, $high] = $three;
        $figure = fn (float $v): string => Format::parts($v, $unit, $decimals)[0];

        return $figure($low) === $figure($high)
            ? Format::text($low, $unit, $decimals)
            : Format::several([$low, $high], $unit, $decimals, ' … ').", mean {$figure($mean)}";
    }
}
