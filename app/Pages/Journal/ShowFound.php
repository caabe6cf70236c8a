<?php

declare(strict_types=1);

namespace App\Pages\Journal;

use App\Computed\Growth\ComputedGrowth;
use App\Computed\Journal\JournalSearch;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Computed\Water\ComputedWater;
use App\Models\Layout;
use App\Pages\Coats\ShowRules;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\OwnRecipe;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Project\Project;

/** Anything of a layout by its words: boards, zones, coats, runs, materials, recipes, colours, rules, pages, the journal. */
final readonly class ShowFound
{
    private const BOARD_PAGES = ['land.show' => 'Land', 'cuts.show' => 'Cuts', 'coats.show' => 'Coats', 'growth.show' => 'Growth'];

    private const MAX_OF_A_KIND = 6;

    private const PAGES = [
        'tonight.show' => ['Tonight', 'moves of the session, countdowns, what dries'],
        'drying.show' => ['Drying line', 'sessions, what is planned, when it is ready'],
        'bench.show' => ['Planned how?', 'certainty, order, tools, dates, calendar'],
        'what-if.show' => ['What if', 'another evening, another room'],
        'by.show' => ['What by then?', 'what can be done by a date'],
        'pots.show' => ['Pots', 'what to weigh and mix'],
        'pots.cards' => ['Pot cards', 'to print, beside the scale'],
        'shelf.show' => ['Shelf', 'stock, lots, what is short'],
        'shopping.show' => ['Shopping list', 'packs to buy'],
        'shopping.prices' => ['Prices', 'packs and what they cost'],
        'rounds.show' => ['Rounds', 'checks, what is not right, where it stalls'],
        'journal.show' => ['Journal', 'what was done and seen, pictures'],
        'journal.match' => ['Match this', 'the same on another board'],
        'trials.index' => ['Trials', 'tried on scrap'],
        'library.show' => ['Recipes', 'figures of every coat, and yours'],
        'palette.show' => ['Palette', 'colours and their mixes'],
        'rules.show' => ['Rule book', 'what has to hold, and why'],
        'takeoff.show' => ['Take-off', 'material of all boards'],
        'layouts.settings' => ['Layout sheet', 'boards, rooms, vehicles'],
        'whole.show' => ['Whole layout', 'all boards, what comes next on each, all templates, the plan at a scale'],
        'formations.show' => ['Formations', 'what the runs lie on: widths, ditches, slopes, roadbed, rails'],
        'carrying.show' => ['Carrying', 'weights, opening, load space, sizes to build next'],
        'curves.show' => ['Curves and sizes', 'least radius, setting out, widths outdoors and here'],
        'spans.show' => ['Spans', 'what bridges a gap, and what that bends and moves'],
        'history.show' => ['History', 'every change, and a copy as it was then'],
    ];

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private JournalSearch $search,
        private Library $library,
        private ComputedGrowth $growth,
        private ComputedWater $water,
    ) {
    }

    /** @return array<string, mixed> for the view journal.found */
    public function of(Layout $layout, string $for): array
    {
        $project = $this->load->of($layout);
        $words = preg_split('/\s+/u', mb_strtolower(trim(mb_substr($for, 0, 100))), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $groups = [];
        foreach ($words === [] ? [] : $this->all($layout, $project) as $kind => $rows) {
            $found = array_filter($rows, fn (array $row): bool => self::says("{$row['name']} {$row['more']}", $words));
            // What is called so comes before what only tells of it.
            usort($found, fn (array $a, array $b): int => self::says($b['name'], $words) <=> self::says($a['name'], $words));
            if ($found !== []) {
                $groups[$kind] = array_slice($found, 0, self::MAX_OF_A_KIND);
            }
        }
        if ($words !== []) {
            $entries = $this->search->page($layout, ['words' => $for], '', self::MAX_OF_A_KIND)['entries'];
            $said = EntryWords::in($project, $this->desk->minute());
            foreach ($entries as $entry) {
                $groups['Journal'][] = [
                    'name' => mb_substr($entry->sentence, 0, 120),
                    'more' => $said->moment($entry->at).', '.$said->of($entry)['section'],
                    'to' => route('journal.show', [$layout, 'entry' => $entry->uid]),
                ];
            }
        }

        return ['layout' => $layout, 'first' => $project->sections[0] ?? null, 'for' => $for, 'groups' => $groups];
    }

    /** @return array<string, list<array{name: string, more: string, to: string}>> */
    private function all(Layout $layout, Project $project): array
    {
        $row = fn (string $name, string $more, string $to): array => ['name' => $name, 'more' => $more, 'to' => $to];
        $out = ['Pages' => [], 'Sections' => [], 'Zones' => [], 'Coats' => [], 'Runs' => [], 'Materials' => []];
        foreach (self::PAGES as $route => [$name, $more]) {
            $out['Pages'][] = $row($name, $more, route($route, $layout));
        }
        $boards = $zones = [];
        foreach ($project->sections as $section) {
            $boards[$section->uid] = $section->name;
            foreach (self::BOARD_PAGES as $route => $page) {
                $out['Sections'][] = $row($section->name, $page, route($route, [$layout, $section->uid]));
            }
            $out['Sections'][] = $row($section->name, 'history', route('journal.history', [$layout, $section->uid]));
            $out['Sections'][] = $row($section->name, 'card', route('rounds.card', [$layout, $section->uid]));
        }
        foreach ($project->works->zones as $zone) {
            $zones[$zone->uid] = $zone;
            $to = route('coats.show', [$layout, $zone->section, 'zone' => $zone->uid]);
            $out['Zones'][] = $row($zone->name, $boards[$zone->section] ?? '', $to);
        }
        foreach ($project->works->coats as $coat) {
            $zone = $zones[$coat->zone];
            $to = route('coats.show', [$layout, $zone->section, 'zone' => $zone->uid, 'coat' => $coat->uid]);
            $out['Coats'][] = $row($coat->title(), "{$zone->name}, ".($boards[$zone->section] ?? ''), $to);
        }
        $first = $project->sections[0]->uid ?? null;
        foreach ($first === null ? [] : $project->runs as $run) {
            $out['Runs'][] = $row($run->name, $run->kind->value, route('land.show', [$layout, $first, 'pick' => $run->uid]));
        }
        foreach ($project->works->growth->stands as $stand) {
            $more = ($boards[$stand->section] ?? '').', '.count($stand->trees).' trees';
            $out['Growth'][] = $row($stand->name, $more, route('growth.show', [$layout, $stand->section, 'pick' => $stand->uid]));
        }
        foreach ($this->growth->rows($project)['sets'] as $set) {
            $on = $set->parts === [] ? (string) $first : $set->parts[0]->section;
            $to = route('growth.show', [$layout, $on, 'pick' => $set->row->uid]);
            $out['Growth'][] = $row($set->row->called(), $set->row->kind->title().', '.($boards[$on] ?? ''), $to);
        }
        foreach ($project->sections as $board) {
            foreach ($this->water->survey($project, $board)->bodies as $body) {
                $more = $board->name.', '.Format::text($body->curve->volume() / 1000.0, 'ml');
                $out['Water'][] = $row($body->called(), $more, route('water.show', [$layout, $board->uid, 'pick' => $body->uid]));
            }
        }
        foreach ($project->works->waters->mirrors as $mirror) {
            $to = route('water.show', [$layout, $mirror->section, 'mirror' => $mirror->uid]);
            $out['Water'][] = $row($mirror->name, $boards[$mirror->section] ?? '', $to);
        }
        foreach ($project->works->store->materials() as $lot) {
            $out['Materials'][] = $row($lot->material, $lot->called(), route('shelf.show', [$layout, 'lot' => $lot->uid]));
        }
        foreach ($this->library->with(OwnRecipe::recipes($project->works->recipes))->recipes as $recipe) {
            $out['Recipes'][] = $row($recipe->name, $recipe->action, route('library.show', [$layout, 'recipe' => $recipe->id]));
        }
        foreach ($project->works->colours as $colour) {
            $out['Colours'][] = $row($colour->name, $colour->words(), route('palette.show', [$layout, 'colour' => $colour->uid]));
        }
        foreach (ShowRules::book()->rules as $rule) {
            $out['Rules'][] = $row($rule['name'], $rule['what'], route('rules.show', $layout)."#{$rule['id']}");
        }

        return $out;
    }

    /** @param  list<string>  $words */
    private static function says(string $text, array $words): bool
    {
        $text = mb_strtolower($text);
        foreach ($words as $word) {
            if (! str_contains($text, $word)) {
                return false;
            }
        }

        return true;
    }
}
