<?php

declare(strict_types=1);

namespace App\Actions\Journal;

use App\Actions\Ledger\StepReverted;
use App\Computed\Clock\UlidGenerator;
use App\Computed\Library\LibraryFiles;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\JournalEntry as EntryRow;
use App\Models\Layout;
use DateTimeZone;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Cure\RoomAir;
use IdleRidge\Core\Interchange\JournalFile;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Journal\WorkRecord;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\StripWork;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\Pot;

/** Writes journal entries. They are never changed: undoing a step that laid something writes one against it. */
final readonly class SaveJournal
{
    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private UlidGenerator $uids,
        private Hand $hand,
    ) {
    }

    /** @param  int|null  $estimate minutes that the plan had for what is done */
    public function note(Layout $layout, CoatApplication $laid, JournalKind $kind, ?int $estimate = null): void
    {
        $project = $this->load->of($layout);
        $zones = $project->works->zonesOf($laid->section);
        $on = isset($zones[$laid->zone]) ? " on {$zones[$laid->zone]->name}" : '';
        $area = Decimal::fixed($laid->area / 1e4, 1).' dm²';
        $words = match ($kind) {
            JournalKind::Done => "{$laid->title}{$on}, {$area}",
            JournalKind::Stopped => "{$laid->title}{$on}, stopped after {$area}",
            JournalKind::Dry => "{$laid->title}{$on} is dry",
            default => "{$laid->title}{$on} is still wet",
        };
        $room = $project->works->room($project->section($laid->section));
        $air = (new RoomAir($room, new DateTimeZone($layout->zone), $project->works->logs[$room->uid] ?? null))->at($this->desk->minute());
        $wrought = $kind === JournalKind::Done || $kind === JournalKind::Stopped;
        $amounts = $wrought
            ? array_map(
                fn (MaterialAmount $a): array => ['material' => $a->material, 'amount' => round($a->amount, 1), 'unit' => $a->unit],
                $laid->amounts,
            )
            : [];
        $this->write($layout, $kind, $laid->section, $laid->uid, $words, [
            'temperature' => $air->temperature,
            'humidity' => $air->humidity,
            'amounts' => $amounts,
            'work' => $this->work($project, $laid, $wrought ? $estimate : null, $wrought),
        ]);
    }

    private function work(Project $project, CoatApplication $laid, ?int $estimate, bool $wrought): WorkRecord
    {
        $works = $project->works;
        $coat = array_column($works->coats, null, 'uid')[$laid->coat] ?? null;
        $colour = array_column($works->colours, null, 'uid')[$coat->colour ?? ''] ?? null;

        return new WorkRecord(
            $laid->zone,
            $works->zonesOf($laid->section)[$laid->zone]->name ?? '',
            $laid->coat,
            $laid->title,
            $laid->recipe->id,
            $laid->area,
            $wrought && $laid->endedAt !== null ? $laid->endedAt - $laid->startedAt : null,
            $estimate,
            array_map(fn (MaterialLot $l): string => "{$l->material} {$l->called()}", $works->store->lotsIn($laid->uid)),
            array_map(fn (Pot $p): string => $p->title, $works->store->potsIn($laid->uid)),
            $colour === null || ! $wrought
                ? null
                : [
                    'name' => $colour->name,
                    'hex' => $colour->wet(LibraryFiles::basePaints())->dry()->toHex(),
                    'mix' => $colour->words(),
                ],
        );
    }

    /** A coat was taken off, with what lay over it. */
    public function stripped(Layout $layout, StripWork $strip, string $zone): void
    {
        $with = $strip->with === [] ? '' : ', with '.implode(' and ', $strip->with);
        $water = $strip->stripping->water > 0.0 ? ', '.Format::text($strip->stripping->water, 'ml').' of water' : '';
        $words = "{$strip->coat->title()} stripped from {$zone}{$with}: {$strip->stripping->minutes} min{$water}";
        $this->write(
            $layout,
            JournalKind::Stripped,
            $strip->off[0]->section,
            $strip->off[0]->uid,
            mb_substr($words, 0, JournalEntry::MAX_SENTENCE),
            ['work' => $this->work($this->load->of($layout), $strip->off[0], null, false)],
        );
    }

    /** What was left in a pot and is lost. */
    public function pouredAway(Layout $layout, Pot $pot, float $left): void
    {
        $project = $this->load->of($layout);
        $zones = array_column($project->works->coats, 'zone', 'uid');
        $boards = array_column($project->works->zones, 'section', 'uid');
        $section = $boards[$zones[strtok($pot->moves[0] ?? '', '.')] ?? ''] ?? ($project->sections[0]->uid ?? '');
        $share = $left / $pot->made;
        [$figure, $unit] = MaterialAmount::shown($left, $pot->unit);
        $this->write($layout, JournalKind::PouredAway, $section, null, "{$figure} {$unit} of {$pot->title} poured away", [
            'amounts' => array_map(fn (array $p): array => ['amount' => round($share * $p['amount'], 1)] + $p, $pot->parts),
        ]);
    }

    /** A step that touched laid work, or poured a pot away, was undone or done again. */
    public function turned(StepReverted $step): void
    {
        foreach ($step->rows as $row) {
            $data = json_decode((string) ($row['after']['data'] ?? ($row['before']['data'] ?? '{}')), true);
            $told = match ($row['table']) {
                'applications' => true,
                'movements' => ($data['cause'] ?? '') === MovementCause::PouredAway->value,
                'checks', 'stalls' => true,
                default => false,
            };
            if (! $told) {
                continue;
            }
            $kind = $step->kind === 'undo' ? JournalKind::Undone : JournalKind::DoneAgain;
            $section = (string) ($data['section'] ?? $this->load->of($step->layout)->sections[0]->uid ?? '');
            $laid = $row['table'] === 'applications' ? $row['uid'] : null;
            $sentence = ucfirst($kind->value).": {$step->sentence}";
            $this->write($step->layout, $kind, $section, $laid, mb_substr($sentence, 0, JournalEntry::MAX_SENTENCE));

            return;
        }
    }

    /**
     * Adds an entry: nothing that stands is changed by it.
     *
     * @param  array<string, mixed>  $more by the names of the entry's constructor
     *
     * @throws InvalidValue
     */
    public function write(
        Layout $layout,
        JournalKind $kind,
        string $section,
        ?string $laid,
        string $sentence,
        array $more = [],
    ): JournalEntry {
        $entry = new JournalEntry(
            ...$more + [
                'uid' => $this->uids->next(),
                'at' => $this->desk->minute(),
                'kind' => $kind,
                'section' => $section,
                'laid' => $laid,
                'sentence' => $sentence,
                'who' => $this->hand->device === '' ? null : $this->hand->device,
            ],
        );
        $position = (int) $layout->journalEntries()->max('position') + 1;
        (new EntryRow(['uid' => $entry->uid, 'layout_id' => $layout->id, 'rev' => 1, 'position' => $position]))
            ->keep(JournalFile::fromEntry($entry))
            ->save();

        return $entry;
    }
}
