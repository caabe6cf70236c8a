<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\ProjectLoader;
use App\Models\Layout;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Tests\Fixtures;
use Tests\Schemas;

final class FilesTest extends FeatureCase
{
    public function test_out_and_in_and_out_again_is_the_same_but_for_uid_name_and_date(): void
    {
        $text = Fixtures::text('projects/version-7-full.ridge.json');
        Schemas::assertMatches('layout', $text);
        $this->upload($text)->assertRedirect();
        $layout = Layout::query()->firstOrFail();
        $out = (string) $this->get("/layouts/{$layout->uid}/export")->assertOk()->getContent();
        Schemas::assertMatches('layout', $out);
        $this->assertSame(self::without($text), self::without($out));
        $this->upload($out);
        $second = Layout::query()->latest('id')->firstOrFail();
        $this->assertSame('Trial Branch (2)', $second->name);
        $this->assertSame(self::without($out), self::without((string) $this->get("/layouts/{$second->uid}/export")->getContent()));
    }

    public function test_a_broken_or_foreign_file_changes_nothing_and_is_told_line_by_line(): void
    {
        $this->upload('{"not": ')->assertSessionHasErrors(['file']);
        $this->upload('{"format": "other/thing"}')->assertSessionHasErrors(['file']);
        $file = json_decode(Fixtures::text('projects/version-7-full.ridge.json'), true);
        $file['sections'][0]['width_mm'] = -4;
        $file['runs'][0]['elements'][1]['radius_mm'] = 3;
        $this->followingRedirects();
        $this->upload((string) json_encode($file))
            ->assertSee('trial.ridge.json: /sections/0/width_mm')
            ->assertSee('/runs/0/elements/1/radius_mm');
        $this->followingRedirects()->from('/')->post('/layouts/import', [])->assertSee('Choose a *.ridge.json file');
        $this->assertSame(0, Layout::query()->count());
    }

    public function test_the_commands_agree_with_the_screen(): void
    {
        $layout = $this->demo();
        $section = $layout->sections()->firstOrFail();
        $file = $this->temporary((string) $this->get("/layouts/{$layout->uid}/export")->getContent());
        $land = $this->ridge('ridge:land', ['file' => $file, '--section' => 'Tarnhead', '--json' => true]);
        Schemas::assertMatches('land', $land);
        $land = json_decode($land, true);
        $page = (string) $this->get($this->at($section, '/land'))->getContent();
        $this->assertStringContainsString('>'.round($land['z_max_mm'], 1).'</button>', $page);
        $this->assertStringContainsString('>'.round($land['surface_mm2'] / 1e6, 2).'</button>', $page);
        $this->assertStringContainsString('>'.round($land['volume_mm3'] / 1e6, 1).'</button>', $page);
        $this->assertStringContainsString(count($land['findings']).' findings', $page);
        $this->assertGreaterThanOrEqual(1, count($land['walls']));
        $check = $this->ridge('ridge:check', ['file' => $file, '--json' => true]);
        Schemas::assertMatches('check', $check);
        $this->assertGreaterThanOrEqual(count($land['findings']), count(json_decode($check, true)['findings']));
    }

    public function test_cuts_agree_with_their_screen(): void
    {
        $layout = $this->demo();
        $section = $layout->sections()->firstOrFail();
        $file = $this->temporary((string) $this->get("/layouts/{$layout->uid}/export")->getContent());
        $json = $this->ridge('ridge:cuts', ['file' => $file, '--section' => 'Tarnhead', '--json' => true]);
        Schemas::assertMatches('cuts', $json);
        $cuts = json_decode($json, true);
        $page = (string) $this->get($this->at($section, '/cuts'))
            ->assertOk()
            ->assertSee('Layer '.count($cuts['layers']))
            ->getContent();
        foreach ([$cuts['foam_mm3'] / 1e6, $cuts['carved_mm3'] / 1e6, $cuts['sheets'][0]['count']] as $figure) {
            $this->assertStringContainsString('>'.round($figure, 1).'</button>', $page);
        }
        foreach (['pdf' => '%PDF-', 'svg' => '<?xml', 'dxf' => '  0'] as $form => $begins) {
            $out = $this->temporary('');
            $this->ridge('ridge:cuts', ['file' => $file, '--section' => 'Tarnhead', '--layer' => '5', "--{$form}" => $out]);
            $this->assertStringStartsWith($begins, (string) file_get_contents($out));
        }
        $shell = $this->ridge('ridge:cuts', ['file' => $file, '--section' => 'Tarnhead', '--school' => 'towel']);
        Schemas::assertMatches('cuts', $shell);
        $this->assertCount(9, json_decode($shell, true)['shell']['ribs'], '1200 mm in gaps of 150');
        [$stl, $png] = [$this->temporary(''), $this->temporary('')];
        $this->ridge('ridge:land', ['file' => $file, '--section' => 'Tarnhead', '--cell' => '20', '--stl' => $stl, '--png' => $png]);
        $solid = (string) file_get_contents($stl);
        $this->assertSame(84 + 50 * (unpack('V', substr($solid, 80, 4)) ?: [1 => 0])[1], strlen($solid));
        $this->assertStringStartsWith("\x89PNG", (string) file_get_contents($png));
        $fill = json_decode($this->ridge('ridge:cuts', ['file' => $file, '--section' => 'Tarnhead', '--school' => 'fill']), true);
        $this->assertLessThan($cuts['foam_mm3'], $fill['foam_mm3']);
        $this->assertSame(0, (int) $fill['carved_mm3']);
        $this->assertGreaterThan(0, $fill['filler_mm3']);
    }

    public function test_a_file_from_before_cuts_takes_starting_values(): void
    {
        $this->upload(Fixtures::text('projects/version-1-before-cuts.ridge.json'))->assertRedirect();
        $this->assertSame('carved', Layout::query()->firstOrFail()->cuts['school']);
    }

    public function test_a_file_from_before_coats_has_bare_land_and_no_structures(): void
    {
        $this->upload(Fixtures::text('projects/version-1-before-coats.ridge.json'))->assertRedirect();
        $project = app(ProjectLoader::class)->of(Layout::query()->firstOrFail());
        $this->assertSame([[], [], []], [$project->works->zones, $project->works->laid, $project->runs[0]->structures]);
    }

    public function test_every_recipe_of_the_library_is_whole_and_cures(): void
    {
        $files = glob(base_path('library/recipes/*.json')) ?: [];
        $this->assertGreaterThanOrEqual(12, count($files));
        foreach ($files as $file) {
            Schemas::assertMatches('recipe', (string) file_get_contents($file));
            $json = $this->ridge('ridge:cure', ['recipe' => basename($file, '.json'), '--json' => true]);
            Schemas::assertMatches('cure', $json);
            $recipe = json_decode((string) file_get_contents($file), true);
            $cure = json_decode($json, true);
            $this->assertSame(basename($file, '.json'), $cure['recipe']);
            foreach ($recipe['minutes'] as $milestone => $minutes) {
                $this->assertEqualsWithDelta(
                    $minutes,
                    $cure['milestones'][$milestone]['p50_min'],
                    0.1,
                    'its own times in the reference air',
                );
                $this->assertLessThan($cure['milestones'][$milestone]['p80_min'], $cure['milestones'][$milestone]['p20_min']);
            }
        }
        $cold = json_decode(
            $this->ridge('ridge:cure', [
                'recipe' => 'white-glue-neat',
                '--temp' => '6',
                '--rh' => '80',
                '--airflow' => 'closed',
                '--mm' => '0.4',
            ]),
            true,
        );
        $this->assertTrue($cold['spoiled']);
        $this->assertGreaterThan(24 * 60, $cold['milestones']['dry_through']['p50_min']);
    }

    public function test_problems_are_planned_from_the_command_line(): void
    {
        foreach (['s10-01' => 6935, 'infeasible-01' => null] as $name => $finish) {
            $json = $this->ridge('ridge:schedule', [
                'file' => base_path("tests/fixtures/schedule/{$name}.json"),
                '--seconds' => '0.5',
                '--json' => true,
            ]);
            Schemas::assertMatches('schedule', $json);
            $this->assertSame($finish, json_decode($json, true)['finish']);
        }
    }

    public function test_grids_are_measured_and_drawn(): void
    {
        $bowl = base_path('tests/fixtures/land/bowl.asc');
        $grid = $this->ridge('ridge:grid', [
            'file' => $bowl,
            '--interval' => '12.5',
            '--water' => '55',
            '--seed' => '391.25,256.25',
            '--eye' => '400,-300,160',
            '--json' => true,
        ]);
        $this->assertGreaterThan(0.7, json_decode($grid, true)['visible_share']);
        $this->assertLessThan(1.0, json_decode($grid, true)['visible_share']);
        Schemas::assertMatches('grid', $grid);
        $grid = json_decode($grid, true);
        $this->assertEqualsWithDelta(25_589_682.0, $grid['volume_mm3'], 12_795.0);
        $this->assertEqualsWithDelta(1_543_464.5, $grid['pool']['volume_mm3'], 7717.0);
        $this->assertEqualsWithDelta(73.0, $grid['pool']['spill_level'], 0.05);
        $out = $this->temporary('');
        Schemas::assertMatches('contours', $this->ridge('ridge:contours', ['file' => $bowl, '--interval' => '12.5', '--geojson' => $out]));
        $this->assertCount(4, json_decode((string) file_get_contents($out), true)['features']);
        Schemas::assertMatches(
            'ground',
            $this->ridge('ridge:ground', ['file' => base_path('tests/fixtures/land/ground-01.json'), '--asc' => $out]),
        );
        $this->assertStringStartsWith("ncols 121\nnrows 61\nxllcenter 0", (string) file_get_contents($out));
    }

    public function test_commands_refuse_bad_input_with_exit_code_2(): void
    {
        foreach (
            [
                ['ridge:grid', ['file' => '/nowhere.asc']],
                ['ridge:grid', ['file' => base_path('tests/fixtures/land/bowl.asc'), '--interval' => '-3']],
                ['ridge:grid', ['file' => base_path('tests/fixtures/land/bowl.asc'), '--water' => '55']],
                ['ridge:grid', ['file' => base_path('tests/fixtures/land/bowl.asc'), '--water' => '55', '--seed' => 'here']],
                ['ridge:ground', ['file' => base_path('tests/fixtures/vectors.json')]],
                ['ridge:land', ['file' => base_path('tests/fixtures/projects/version-7-full.ridge.json'), '--section' => 'Nowhere']],
                ['ridge:land', ['file' => base_path('tests/fixtures/projects/version-7-full.ridge.json')]],
                ['ridge:check', ['file' => base_path('tests/fixtures/vectors.json')]],
                [
                    'ridge:cuts',
                    [
                        'file' => base_path('tests/fixtures/projects/version-7-full.ridge.json'),
                        '--section' => 'Second',
                        '--school' => 'paper',
                    ],
                ],
                ['ridge:schedule', ['file' => base_path('composer.json')]],
                ['ridge:schedule', ['file' => base_path('tests/fixtures/schedule/s10-01.json'), '--seconds' => 'long']],
                ['ridge:cure', ['recipe' => 'glitter']],
                ['ridge:cure', ['recipe' => 'earth-paint', '--rh' => '120']],
                ['ridge:cure', ['recipe' => 'earth-paint', '--temp' => '-40']],
                ['ridge:cure', ['recipe' => base_path('composer.json')]],
                ['ridge:import', ['file' => base_path('composer.json')]],
                ['ridge:export', ['layout' => 'Nobody']],
            ] as [$command, $arguments]
        ) {
            $process = \Illuminate\Support\Facades\Process::path(base_path())->run([
                'bin/php',
                'artisan',
                $command,
                ...self::words($arguments),
            ]);
            $this->assertSame(2, $process->exitCode(), $command.$process->output());
            $this->assertSame('', trim($process->output()), $command);
            $this->assertStringContainsString(': ', $process->errorOutput());
            $this->assertStringNotContainsString('Stack trace', $process->errorOutput());
        }
    }

    public function test_import_and_export_from_the_command_line(): void
    {
        $file = base_path('tests/fixtures/projects/version-7-full.ridge.json');
        $answer = json_decode($this->ridge('ridge:import', ['file' => $file, '--json' => true]), true);
        $this->assertSame('Trial Branch', $answer['name']);
        $out = $this->temporary('');
        $this->ridge('ridge:export', ['layout' => 'Trial Branch', '--out' => $out]);
        $this->assertSame(
            self::without(Fixtures::text('projects/version-7-full.ridge.json')),
            self::without((string) file_get_contents($out)),
        );
        $this->assertSame((string) file_get_contents($out), $this->ridge('ridge:export', ['layout' => $answer['layout']]));
    }

    private function upload(string $text): \Illuminate\Testing\TestResponse
    {
        return $this->from('/')->post('/layouts/import', ['file' => UploadedFile::fake()->createWithContent('trial.ridge.json', $text)]);
    }

    /** @param  array<string, mixed>  $arguments */
    private function ridge(string $command, array $arguments): string
    {
        $code = Artisan::call($command, $arguments);
        $output = Artisan::output();
        $this->assertSame(0, $code, $output);

        return $output;
    }

    private function temporary(string $text): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'ridge');
        file_put_contents($file, $text);
        $this->beforeApplicationDestroyed(fn () => @unlink($file));

        return $file;
    }

    /**
     * @param  array<string, string>  $arguments
     * @return list<string>
     */
    private static function words(array $arguments): array
    {
        return array_map(
            fn (string $k, string $v): string => str_starts_with($k, '--') ? "{$k}={$v}" : $v,
            array_keys($arguments),
            $arguments,
        );
    }

    /** @return array<string, mixed> */
    private static function without(string $json): string
    {
        $file = json_decode($json, false);
        unset($file->date, $file->layout->uid, $file->layout->name);

        return (string) json_encode($file);
    }
}
