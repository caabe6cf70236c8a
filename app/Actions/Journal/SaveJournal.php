<?php

declare(strict_types=1);

namespace App\Actions\Journal;

use App\Actions\Ledger\StepReverted;
use App\Computed\Clock\UlidGenerator;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\JournalEntry as EntryRow;
use App\Models\Layout;
use DateTimeZone;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Cure\RoomAir;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Plan\StripWork;
use IdleRidge\Core\Project\JournalEntry;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\Pot;

/** Writes journal entries. They are never changed: undoing a step that laid something writes one against it. */
final readonly class SaveJournal
{
    public function __construct(private ProjectLoader $load, private ComputedPlan $desk, private UlidGenerator $uids)
    {
    }

    public function note(Layout $layout, CoatApplication $laid, string $kind): void
    {
        $project = $this->load->of($layout);
        $zones = $project->works->zonesOf($laid->section);
        $on = isset($zones[$laid->zone]) ? " on {$zones[$laid->zone]->name}" : '';
        $area = Decimal::fixed($laid->area / 1e4, 1).' dm²';
        $words = match ($kind) {
            'done' => "{$laid->title}{$on}, {$area}",
            'stopped' => "{$laid->title}{$on}, stopped after {$area}",
            'dry' => "{$laid->title}{$on} is dry",
            default => "{$laid->title}{$on} is still wet",
        };
        $room = $project->works->room($project->section($laid->section));
        $air = (new RoomAir($room, new DateTimeZone($layout->zone), $project->works->logs[$room->uid] ?? null))->at($this->desk->minute());
        $amounts = in_array($kind, ['still wet', 'dry'], true)
            ? []
            : array_map(
                fn (MaterialAmount $a): array => ['material' => $a->material, 'amount' => round($a->amount, 1), 'unit' => $a->unit],
                $laid->amounts,
            );
        $this->write(
            $layout,
            new JournalEntry(
                $this->uids->next(),
                $this->desk->minute(),
                $kind,
                $laid->section,
                $laid->uid,
                $words,
                $air->temperature,
                $air->humidity,
                $amounts,
            ),
        );
    }

    /** A coat was taken off, with what lay over it. */
    public function stripped(Layout $layout, StripWork $strip, string $zone): void
    {
        $with = $strip->with === [] ? '' : ', with '.implode(' and ', $strip->with);
        $water = $strip->stripping->water > 0.0 ? ', '.Decimal::fixed($strip->stripping->water, 0).' ml of water' : '';
        $this->write(
            $layout,
            new JournalEntry(
                $this->uids->next(),
                $this->desk->minute(),
                'stripped',
                $strip->off[0]->section,
                $strip->off[0]->uid,
                mb_substr("{$strip->coat->title()} stripped from {$zone}{$with}: {$strip->stripping->minutes} min{$water}", 0, 500),
            ),
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
        $this->write(
            $layout,
            new JournalEntry(
                $this->uids->next(),
                $this->desk->minute(),
                'poured away',
                $section,
                null,
                "{$figure} {$unit} of {$pot->title} poured away",
                amounts: array_map(
                    fn (array $p): array => ['amount' => round($share * $p['amount'], 1)] + $p,
                    $pot->parts,
                ),
            ),
        );
    }

    /** A step that touched laid work, or poured a pot away, was undone or done again. */
    public function turned(StepReverted $step): void
    {
        foreach ($step->rows as $row) {
            $data = json_decode((string) ($row['after']['data'] ?? ($row['before']['data'] ?? '{}')), true);
            $poured = $row['table'] === 'movements' && ($data['cause'] ?? '') === MovementCause::PouredAway->value;
            if ($row['table'] !== 'applications' && ! $poured) {
                continue;
            }
            $kind = $step->kind === 'undo' ? 'undone' : 'done again';
            $this->write(
                $step->layout,
                new JournalEntry(
                    $this->uids->next(),
                    $this->desk->minute(),
                    $kind,
                    (string) ($data['section'] ?? $this->load->of($step->layout)->sections[0]->uid ?? ''),
                    $poured ? null : $row['uid'],
                    ucfirst($kind).": {$step->sentence}",
                ),
            );

            return;
        }
    }

    private function write(Layout $layout, JournalEntry $entry): void
    {
        $position = (int) $layout->journalEntries()->max('position') + 1;
        (new EntryRow(['uid' => $entry->uid, 'layout_id' => $layout->id, 'rev' => 1, 'position' => $position]))
            ->keep(WorksFile::fromEntry($entry))
            ->save();
    }
}
