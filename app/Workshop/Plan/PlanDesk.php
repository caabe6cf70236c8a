<?php

declare(strict_types=1);

namespace App\Workshop\Plan;

use App\Models\Layout;
use App\Workshop\Land\LandDesk;
use App\Workshop\LoadProject;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Laid;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Survey;
use IdleRidge\Core\Interchange\BenchFile;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;
use Psr\Clock\ClockInterface;

/** Surveys zones and plans the work, or takes it from what was computed before: all is kept under the hash of its inputs. */
final class PlanDesk
{
    /** Raise when what is kept changes its form. */
    private const VERSION = 7;

    private const DAYS = 7;

    public function __construct(private readonly LandDesk $land, private readonly LoadProject $load, private readonly ClockInterface $clock)
    {
    }

    public function minute(): int
    {
        return intdiv($this->clock->now()->getTimestamp(), 60);
    }

    public function plan(Layout $layout): BenchPlan
    {
        return $this->planOf($this->load->of($layout), $this->minute());
    }

    public function planOf(Project $project, int $now): BenchPlan
    {
        $works = $project->works;
        $work = $this->work($project, $now);
        $inputs = [
            self::VERSION, $work->planFrom(), $project->layout->zone, $project->layout->scale->ratio, array_map(WorksFile::fromCoat(...), $works->coats), array_map(WorksFile::fromLaid(...), $works->laid),
            array_map(WorksFile::fromRoom(...), $works->rooms), BenchFile::fromRules($project->layout->bench), $project->layout->showOn, BenchFile::fromLogs($works->logs), array_map(WorksFile::fromTime(...), $works->times),
            array_map(fn (Section $s): array => [$this->key($project, $s), $s->name, $s->room], $project->sections), array_map(WorksFile::fromZone(...), $works->zones),
            array_map(fn (Coat $c): array => RecipeFile::write($c->recipe), array_column(array_map(fn (Coat $c): array => [$c->recipe->id, $c], $works->coats), 1, 0)),
        ];
        $key = 'plan-'.sha1(json_encode($inputs, JSON_THROW_ON_ERROR));
        $kept = $this->store()->get($key);
        if (! is_array($kept)) {
            $kept = BenchPlan::solve($work);
            $this->store()->put($key, $kept, 86400 * self::DAYS);
        }
        /** @var array{status: string, at: array<string, array{int, int}>, cold: list<string>, bound: int} $kept */

        return BenchPlan::of($work, $kept);
    }

    public function work(Project $project, int $now): BenchWork
    {
        $surveys = [];
        foreach ($project->sections as $section) {
            if ($project->works->zonesOf($section->uid) !== []) {
                $surveys[$section->uid] = $this->survey($project, $section);
            }
        }

        return new BenchWork($project, $surveys, $now);
    }

    public function survey(Project $project, Section $section): SectionSurvey
    {
        $key = 'survey-'.$this->key($project, $section);
        $kept = $this->store()->get($key);
        if ($kept instanceof SectionSurvey) {
            return $kept;
        }
        $zones = $project->works->zonesOf($section->uid);
        $survey = Survey::ofLand($this->land->model($project, $section), LandDesk::CELL, $section->base, $section->placement, $zones, $project->layout->northDeg);
        $answer = SectionSurvey::of($survey, $section->placement, $zones, $project->works->coats, $project->works->laid);
        $this->store()->put($key, $answer, 86400 * self::DAYS);

        return $answer;
    }

    /** What a section's survey depends on. */
    private function key(Project $project, Section $section): string
    {
        $zones = $project->works->zonesOf($section->uid);
        $coats = [];
        foreach ($project->works->coats as $coat) {
            if (isset($zones[$coat->zone])) {
                $coats[] = [$coat->uid, $coat->zone, $coat->passes];
            }
        }
        $laid = array_filter($project->works->laid, fn (Laid $l): bool => $l->section === $section->uid);

        return sha1(json_encode([
            self::VERSION, $this->land->hash($project, $section, LandDesk::CELL), $project->layout->northDeg, array_map(WorksFile::fromZone(...), array_values($zones)), $coats,
            array_map(fn (Laid $l): array => [$l->coat, $l->pass, $l->rings], array_values($laid)),
        ], JSON_THROW_ON_ERROR));
    }

    private function store(): Repository
    {
        return Cache::store('computed');
    }
}
