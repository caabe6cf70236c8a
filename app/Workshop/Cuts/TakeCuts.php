<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use App\Drawing\SheetDrawing;
use App\Drawing\Svg;
use App\Drawing\TemplatePdf;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Workshop\Land\LandDesk;
use App\Workshop\LoadProject;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Riser;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Interchange\DxfDrawing;
use IdleRidge\Core\Interchange\Stl;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Project\BoardPlan;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use Illuminate\Support\Str;

/** What is printed or cut from: templates at 1:1, the board's plan, sheets, the land as a solid. */
final readonly class TakeCuts
{
    /** form → type of the file */
    public const FORMS = ['pdf' => 'application/pdf', 'plan' => 'application/pdf', 'risers' => 'application/pdf', 'svg' => 'image/svg+xml', 'dxf' => 'image/vnd.dxf', 'sheets' => 'image/svg+xml', 'stl' => 'model/stl'];

    /** The solid's floor lies so far under the lowest land, mm. */
    private const FLOOR = 10.0;

    public function __construct(private LoadProject $load, private LandDesk $desk, private CutLand $cut, private LaySheets $sheets, private ShowRisers $risers)
    {
    }

    /**
     * @param int $layer 0 for all of them
     * @return array{name: string, type: string, body: string}
     */
    public function as(string $form, Layout $layout, SectionRow $row, int $layer, string $paper, string $run = ''): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $model = $this->desk->model($project, $section);
        $stack = fn (): FoamStack => $this->cut->stack($project, $model, $section, $project->layout->cuts);
        $title = "{$project->layout->name}, {$section->name}";
        $body = match ($form) {
            'pdf' => TemplatePdf::of(self::templates($stack(), $layer), $paper, $title),
            'plan' => TemplatePdf::of([BoardPlan::of($project, $section, $model)], $paper, $title),
            'risers' => TemplatePdf::of($this->risers($project, $section, $model, $run), $paper, $title),
            'svg' => self::svg(self::templates($stack(), $layer)),
            'dxf' => self::dxf(self::templates($stack(), $layer)),
            'sheets' => $this->sheetsFile($this->sheets->of($project, $section, $stack())),
            default => Stl::solid($this->desk->sheet($project, $section)->grid()->mesh($section->width, $section->depth), $this->desk->sheet($project, $section)->figures['z_min']->value - self::FLOOR),
        };
        $name = (Str::slug($section->name) ?: 'section').match ($form) {
            'plan' => '-plan.pdf', 'risers' => '-risers.pdf', 'sheets' => '-sheets.svg', 'stl' => '.stl', default => ($layer === 0 ? '-layers' : "-layer-{$layer}").".{$form}",
        };

        return ['name' => $name, 'type' => self::FORMS[$form], 'body' => $body];
    }

    /** @return list<Template> */
    private function risers(Project $project, Section $section, LandModel $model, string $run): array
    {
        $risers = $this->risers->of($project, $section, $model, $run)['risers'];

        return array_map(fn (Riser $riser, int $k): Template => $riser->template('R'.($k + 1)), $risers, array_keys($risers));
    }

    /** @return list<Template> */
    public static function templates(FoamStack $stack, int $layer): array
    {
        $out = [];
        foreach ($stack->layers as $one) {
            if ($layer === 0 || $one->index === $layer) {
                array_push($out, ...Template::ofLayer($stack, $one->index));
            }
        }

        return $out;
    }

    /** @param  list<Template>  $templates */
    public static function dxf(array $templates): string
    {
        $drawing = new DxfDrawing;
        foreach ($templates as $template) {
            foreach ($template->cut as $ring) {
                $drawing->polyline('CUT '.$template->name, $ring, true);
            }
            foreach ($template->marked as $ring) {
                $drawing->polyline('MARK '.$template->name, $ring, true);
            }
            foreach ($template->dowels as $p) {
                $drawing->point('DOWEL '.$template->name, ...$p);
            }
            foreach ($template->words as [$x, $y, $text]) {
                $drawing->text('NAME '.$template->name, $x, $y, $text);
            }
        }

        return (string) $drawing;
    }

    /** @param  list<Template>  $templates */
    public static function svg(array $templates): string
    {
        $all = array_merge(...array_map(fn (Template $t): array => array_merge(...$t->outlines()), $templates)) ?: [[0.0, 0.0]];
        [$x1, $x2, $y1, $y2] = [min(array_column($all, 0)) - 5.0, max(array_column($all, 0)) + 5.0, min(array_column($all, 1)) - 5.0, max(array_column($all, 1)) + 5.0];
        $d = fn (array $ring): string => Svg::d(array_map(fn (array $p): array => [$p[0] - $x1, $y2 - $p[1]], $ring), true);
        $marks = '';
        foreach ($templates as $template) {
            $marks .= sprintf("  <g id=\"piece-%s\">\n", htmlspecialchars($template->name, ENT_XML1 | ENT_QUOTES));
            foreach ([['cut', $template->cut, ''], ['mark', $template->marked, ' stroke-dasharray="4 3"']] as [$class, $rings, $dash]) {
                $marks .= $rings === [] ? '' : sprintf("    <path class=\"%s\" d=\"%s\" fill=\"none\" stroke=\"black\" stroke-width=\"0.3\"%s/>\n", $class, implode('', array_map($d, $rings)), $dash);
            }
            foreach ($template->dowels as [$x, $y]) {
                $marks .= sprintf("    <circle cx=\"%s\" cy=\"%s\" r=\"1.6\" fill=\"none\" stroke=\"black\" stroke-width=\"0.2\"/>\n", Svg::n($x - $x1), Svg::n($y2 - $y));
            }
            foreach ($template->words as [$x, $y, $text]) {
                $marks .= sprintf("    <text x=\"%s\" y=\"%s\" font-family=\"sans-serif\" font-size=\"6\">%s</text>\n", Svg::n($x - $x1), Svg::n($y2 - $y), htmlspecialchars($text, ENT_XML1 | ENT_QUOTES));
            }
            $marks .= "  </g>\n";
        }

        return sprintf("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1\$smm\" height=\"%2\$smm\" viewBox=\"0 0 %1\$s %2\$s\">\n%3\$s</svg>\n", Svg::n($x2 - $x1), Svg::n($y2 - $y1), $marks);
    }

    private function sheetsFile(LaidSheets $laid): string
    {
        return SheetDrawing::file($laid->problems, $laid->nested);
    }
}
