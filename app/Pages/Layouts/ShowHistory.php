<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Actions\Ledger\Ledger;
use App\Models\Layout;
use App\Models\Revision;
use DateTimeImmutable;
use DateTimeZone;

/** All that was ever changed on a layout, the newest first, with what each step touched. */
final readonly class ShowHistory
{
    private const STEPS = 60;

    /** Tables whose rows a builder calls otherwise. */
    private const NAMES = [
        'layouts' => 'layout sheet', 'land_features' => 'shape', 'applications' => 'laid coat', 'bench_sessions' => 'session',
        'hidden_things' => 'hidden thing', 'lineside_rows' => 'row', 'journal_entries' => 'journal entry', 'colours' => 'colour',
    ];

    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  string  $words that a step's sentence has to hold; all for none
     * @param  int|null  $before only steps before this one
     * @return array<string, mixed> for the view layouts.history
     */
    public function of(Layout $layout, string $words, ?int $before): array
    {
        $words = trim($words);
        $steps = Revision::query()->where('layout_id', $layout->id)
            ->when($before !== null, fn ($q) => $q->where('id', '<', $before))
            ->when($words !== '', fn ($q) => $q->whereRaw("sentence like ? escape '!'", ['%'.self::plain($words).'%']))
            ->orderByDesc('id')
            ->limit(self::STEPS + 1)
            ->get()
            ->all();
        $more = count($steps) > self::STEPS;
        $steps = array_slice($steps, 0, self::STEPS);
        $zone = new DateTimeZone($layout->zone);
        $days = [];
        foreach ($steps as $step) {
            $at = (new DateTimeImmutable($step->made_at, new DateTimeZone('UTC')))->setTimezone($zone);
            $days[$at->format('l j F Y')][] = [
                'id' => $step->id,
                'at' => $at->format('H:i'),
                'sentence' => (['undo' => 'Undone: ', 'redo' => 'Done again: '][$step->kind] ?? '').$step->sentence,
                'turned' => $step->kind !== 'edit',
                'what' => self::touched($step),
            ];
        }

        return [
            'layout' => $layout,
            'first' => $layout->sections()->first(),
            'days' => $days,
            'words' => $words,
            'newest' => $this->ledger->newest($layout)?->id,
            'earlier' => $more ? $steps[count($steps) - 1]->id : null,
            'next' => $this->ledger->next($layout),
        ];
    }

    private static function plain(string $words): string
    {
        return str_replace(['!', '%', '_'], ['!!', '!%', '!_'], $words);
    }

    /** What a step added, changed and took away: "1 run added, 2 zones changed". */
    private static function touched(Revision $step): string
    {
        $counts = [];
        foreach ($step->changes as $change) {
            $how = $change['before'] === null ? 'added' : ($change['after'] === null ? 'taken away' : 'changed');
            $counts[$change['table']][$how] = ($counts[$change['table']][$how] ?? 0) + 1;
        }
        $out = [];
        foreach ($counts as $table => $hows) {
            $name = self::NAMES[$table] ?? rtrim(str_replace('_', ' ', $table), 's');
            foreach ($hows as $how => $count) {
                $out[] = "{$count} {$name}".($count > 1 ? 's' : '')." {$how}";
            }
        }

        return implode(', ', str_replace(['1 layout sheet ', 'boxs', 'entrys'], ['the layout sheet ', 'boxes', 'entries'], $out));
    }
}
