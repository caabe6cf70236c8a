<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Computed\Cuts\ComputedCuts;
use App\Computed\Cuts\CutTemplates;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Drawing\TemplateFile;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\LayoutPlan;
use IdleRidge\Core\Project\Project;
use Illuminate\Support\Str;

/** What is printed of all boards together: the plan at a scale, and every board's templates at 1:1. */
final readonly class ExportWhole
{
    public function __construct(private ProjectLoader $load, private ComputedCuts $cuts)
    {
    }

    /**
     * @return array{name: string, type: string, body: string}
     *
     * @throws InvalidValue for a scale or paper that is not known
     */
    public function plan(Layout $layout, float $ratio, string $paper): array
    {
        $project = $this->load->of($layout);

        return TemplateFile::of('pdf', self::slug($layout).'-plan', [LayoutPlan::of($project, $ratio)], $paper, $project->layout->name);
    }

    /** @return array{name: string, type: string, body: string} */
    public function templates(Layout $layout, string $paper): array
    {
        $project = $this->load->of($layout);

        return TemplateFile::of('pdf', self::slug($layout).'-templates', $this->all($project), $paper, $project->layout->name);
    }

    /** @return list<Template> board by board, each with its board's name before its own */
    private function all(Project $project): array
    {
        $out = [];
        foreach ($project->sections as $section) {
            foreach (CutTemplates::of($this->cuts->page($project, $section)) as $template) {
                $out[] = $template->titled("{$section->name}: {$template->title}");
            }
        }

        return $out;
    }

    private static function slug(Layout $layout): string
    {
        return Str::slug($layout->name) ?: 'layout';
    }
}
