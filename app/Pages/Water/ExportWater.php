<?php

declare(strict_types=1);

namespace App\Pages\Water;

use App\Computed\Water\ComputedWater;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Pages\Drawing\TemplateFile;
use IdleRidge\Core\Cuts\Nesting\NestPiece;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Interchange\Csv;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Support\Str;

/** What water is made by: dams, pieces of sheet and mirrors at full size; pours as a list. */
final readonly class ExportWater
{
    public const FORMS = ['pdf', 'svg', 'dxf', 'csv'];

    private const AROUND_MM = 4.0;

    public function __construct(private ShowWater $show, private ComputedWater $water)
    {
    }

    /**
     * @param  string  $of uid of a water; all of the board where it is empty
     * @return array{name: string, type: string, body: string}
     *
     * @throws InvalidValue for paper that is not known, or where there is nothing to cut
     */
    public function as(string $form, Layout $layout, SectionRow $row, string $of, string $paper): array
    {
        [$page] = $this->show->page($layout, $row, $of === '' ? null : $of, null);
        $slug = (Str::slug($page->section->name) ?: 'section').'-'.(Str::slug($page->body?->called() ?? '') ?: 'water');
        if ($form === 'csv') {
            return ['name' => "{$slug}.csv", 'type' => 'text/csv; charset=utf-8', 'body' => $this->csv($page)];
        }
        $templates = $this->templates($page, $of);
        if ($templates === []) {
            throw new InvalidValue('Nothing is cut for it: it meets no edge, no sheet is laid, no mirror stands.', 'of');
        }

        return TemplateFile::of($form, $slug, $templates, $paper, "{$page->project->layout->name}, {$page->section->name}");
    }

    /** @return list<Template> */
    private function templates(WaterPage $page, string $of): array
    {
        $out = [];
        foreach ($page->survey->bodies as $body) {
            if ($of !== '' && $body->uid !== $of) {
                continue;
            }
            foreach ($body->dams as $dam) {
                $out[] = $dam->template($body->called());
            }
            if ($page->project->works->waters->planOf($body->uid)?->school === 'water-sheet') {
                foreach ($this->water->sheet()->cut($page->beds[$body->uid][0] ?? [])->pieces as $piece) {
                    $out[] = self::piece($piece, $body->called());
                }
            }
        }
        foreach ($of === '' ? $page->survey->mirrors : [] as $fit) {
            [$w, $h] = [$fit->mirror->width, $fit->mirror->height];
            $out[] = new Template(
                'mirror',
                $fit->mirror->name.': '.Format::several([$w, $h], 'mm', 1),
                [[[0.0, 0.0], [$w, 0.0], [$w, $h], [0.0, $h]]],
            );
        }

        return $out;
    }

    private static function piece(NestPiece $piece, string $name): Template
    {
        [$x1, $y1] = Box::around($piece->rings[0] ?: [[0.0, 0.0]], self::AROUND_MM);
        $moved = array_map(
            fn (array $ring): array => array_map(fn (array $p): array => [$p[0] - $x1, $p[1] - $y1], $ring),
            $piece->rings,
        );

        return new Template($piece->id, "{$name}: sheet {$piece->id}, with what is tucked under the bank", $moved);
    }

    private function csv(WaterPage $page): string
    {
        $rows = [];
        foreach ($page->survey->bodies as $body) {
            $rows[] = [
                $body->called(),
                'holds',
                '',
                Format::number($body->curve->volume() / 1000.0, 'ml', 1),
                Format::unit('ml'),
                Format::number($body->curve->most, 'mm', 2),
            ];
            foreach ($body->dams as $dam) {
                $rows[] = [
                    $body->called(),
                    "dam, {$dam->edge->value}",
                    '',
                    Format::number($dam->length(), 'mm', 1),
                    Format::unit('mm'),
                    Format::number($dam->deep(), 'mm', 2),
                ];
            }
        }
        foreach ($page->trial->steps ?? [] as $step) {
            foreach ($step->amounts as $amount) {
                $rows[] = [
                    $page->body?->called() ?? '',
                    $step->coat->title(),
                    $step->application,
                    Format::number($amount->amount, $amount->unit, 2),
                    Format::unit($amount->unit)." {$amount->material}",
                    Format::number($step->coat->mm, 'mm', 2),
                ];
            }
        }

        return Csv::write(['water', 'what', 'pass', 'amount', 'of', Format::column('depth', 'mm')], $rows);
    }
}
