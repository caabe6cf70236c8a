<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\Clock\BenchClock;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Revision;
use App\Models\Section;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Project\Works;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\Response;
use Psr\Clock\ClockInterface;
use Tests\Demo;
use Tests\TestCase;

abstract class FeatureCase extends TestCase
{
    use RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        UnitsInUse::become(Units::Metric);
        $this->withoutVite();
    }

    /** Forms say what they were made from, as pages write it into them; a test that is about it says so itself. */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        if (
            $method !== 'GET' &&
            ! isset($parameters['seen']) &&
            preg_match('#^(?:https?://[^/]+)?/?layouts/([0-9A-Z]{26})#', (string) $uri, $m) === 1
        ) {
            $parameters['seen'] = (string) (int) Revision::query()
                ->join('layouts', 'layouts.id', '=', 'revisions.layout_id')
                ->where('layouts.uid', $m[1])
                ->max('revisions.id');
        }

        $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        $html = $response->baseResponse instanceof Response ? $response->getContent() : false;
        if ($html !== false && str_starts_with(ltrim($html), '<') && ! str_starts_with(ltrim($html), '<?xml')) {
            $response->baseResponse->setContent(self::inOneLine($html));
        }

        return $response;
    }

    /** How a view is set out says nothing: gaps beside tags that stand for themselves and within tags go, others are one space. */
    private static function inOneLine(string $html): string
    {
        $alone = '</?(?:p|div|section|header|h\d|li|ul|ol|table|thead|tbody|tr|t[dh]|form|nav|main|label|option|dl|d[td]|details|summary'
            .'|svg|g|article|input|select|textarea|fieldset|legend|br)\b[^>]*>';
        $html = (string) preg_replace(
            ['~\s+~', "~ ?({$alone}) ?~", '~(<[a-z][^>]*>) ~', '~ (</[^>]*>)~', '~ ?/>~'],
            [' ', '$1', '$1', '$1', '>'],
            $html,
        );

        return str_replace(' >', '>', $html);
    }

    protected function demo(): Layout
    {
        return Demo::store();
    }

    /** The demo as it is at a moment. */
    protected function evening(string $now): Layout
    {
        $this->setClock($now);

        return $this->demo();
    }

    protected function setClock(string $now): void
    {
        $this->app->instance(ClockInterface::class, new BenchClock($now, null));
        $this->app->forgetInstance(ComputedPlan::class);
    }

    protected function plan(Layout $layout): BenchPlan
    {
        return app(ComputedPlan::class)->plan($layout->fresh() ?? $layout);
    }

    protected function works(Layout $layout): Works
    {
        return app(ProjectLoader::class)->works($layout);
    }

    /** A layout with one empty board of 1200 × 600. */
    protected function board(): Section
    {
        $this->post('/layouts', ['name' => 'Trial', 'ratio' => '87.1', 'gauge_mm' => '16.5', 'units' => 'metric'])->assertRedirect();
        $layout = Layout::query()->latest('id')->firstOrFail();
        $this->post("/layouts/{$layout->uid}/sections", [
            'name' => 'Board',
            'width_mm' => '1200 mm',
            'depth_mm' => '600',
        ])->assertRedirect();

        return $layout->sections()->firstOrFail();
    }

    protected function layoutOf(Section $section): Layout
    {
        return Layout::query()->findOrFail($section->layout_id);
    }

    protected function at(Section $section, string $rest = ''): string
    {
        return "/layouts/{$this->layoutOf($section)->uid}/sections/{$section->uid}{$rest}";
    }
}
