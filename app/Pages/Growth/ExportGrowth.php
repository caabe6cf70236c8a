<?php

declare(strict_types=1);

namespace App\Pages\Growth;

use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Pages\Drawing\TemplateFile;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\Csv;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Planting\RowTemplates;
use IdleRidge\Core\Planting\StandTemplate;
use Illuminate\Support\Str;

/** What growth is set out by: templates at full size, and lists. */
final readonly class ExportGrowth
{
    public const FORMS = ['pdf', 'svg', 'dxf', 'csv'];

    public function __construct(private ShowGrowth $show)
    {
    }

    /**
     * @param  string  $of uid of a stand or row; all of the board where it is empty
     * @return array{name: string, type: string, body: string}
     *
     * @throws InvalidValue for paper that is not known, or where nothing grows
     */
    public function as(string $form, Layout $layout, SectionRow $row, string $of, string $paper): array
    {
        $page = $this->show->page($layout, $row, $of === '' ? null : $of, null);
        $slug = (Str::slug($page->section->name) ?: 'section').'-'.($of === '' ? 'growth' : (Str::slug($this->name($page, $of)) ?: 'row'));
        if ($form === 'csv') {
            return ['name' => "{$slug}.csv", 'type' => 'text/csv; charset=utf-8', 'body' => $this->csv($page, $of)];
        }
        $templates = $this->templates($page, $of);
        if ($templates === []) {
            throw new InvalidValue('Nothing grows or stands there yet.', 'of');
        }

        return TemplateFile::of($form, $slug, $templates, $paper, "{$page->project->layout->name}, {$page->section->name}");
    }

    private function name(GrowthPage $page, string $of): string
    {
        return $page->stand()->name ?? ($page->row()?->called() ?? $of);
    }

    /** @return list<Template> */
    private function templates(GrowthPage $page, string $of): array
    {
        $out = [];
        foreach ($page->stands as $stand) {
            $template = $of === '' || $stand->uid === $of
                ? StandTemplate::of($stand, $stand->trees, $page->section->width, $page->section->depth)
                : null;
            $out = $template === null ? $out : [...$out, $template];
        }
        foreach ($page->survey->sets as $set) {
            if ($set->row->uid === $of || ($of === '' && in_array($set, $page->sets(), true))) {
                array_push($out, ...RowTemplates::of($set));
            }
        }

        return $out;
    }

    private function csv(GrowthPage $page, string $of): string
    {
        $rows = [];
        $mm = fn (float $value): float => Format::number($value, 'mm', 1);
        foreach ($page->stands as $stand) {
            foreach ($of === '' || $stand->uid === $of ? $stand->trees : [] as $k => $tree) {
                $rows[] = [
                    $stand->name, $k + 1, $stand->species($tree)->name, $mm($tree->x), $mm($tree->y), '',
                    $mm($tree->height), $mm($tree->crown), $tree->dead ? 'dead' : '',
                ];
            }
        }
        foreach ($page->sets() as $set) {
            foreach ($of === '' || $set->row->uid === $of ? $set->on($page->section->uid) : [] as $k => $thing) {
                $p = $page->section->placement->toSection(new Point($thing->x, $thing->y));
                $rows[] = [
                    $set->row->called(), $k + 1, $set->row->kind->word(), $mm($p->x), $mm($p->y), $mm($thing->station),
                    $mm($thing->height), $mm($set->wide), $thing->role->value === 'plain' ? '' : $thing->role->value,
                ];
            }
        }

        return Csv::write(
            [
                'of',
                'number',
                'what',
                ...array_map(fn (string $of): string => Format::column($of, 'mm'), ['x', 'y', 'station', 'height', 'wide']),
                'note',
            ],
            $rows,
        );
    }
}
