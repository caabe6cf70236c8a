<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Provenance;
use IdleRidge\Core\Plan\TakeOff;

/** Recipes of one's own, schools compared and taken, the rule book, the take-off as a file. */
final class LibraryTest extends FeatureCase
{
    public function test_every_recipe_can_be_looked_at(): void
    {
        $layout = $this->layoutOf($this->board());
        foreach (array_keys(app(Library::class)->recipes) as $id) {
            $page = (string) $this->get("/layouts/{$layout->uid}/library?recipe={$id}")->assertOk()->getContent();
            $this->assertStringContainsString('Keep as yours', $page, $id);
        }
    }

    public function test_figures_made_ones_own_change_the_take_off_and_go_back(): void
    {
        $layout = $this->demo();
        $need = function () use ($layout): float {
            $desk = app(ComputedPlan::class);
            $plan = $desk->planOf(app(ProjectLoader::class)->of($layout), $desk->minute());

            return array_sum(
                array_column(array_filter(TakeOff::items($plan->work), fn (array $i): bool => $i['material'] === 'fibre 4 mm'), 'amount'),
            );
        };
        $before = $need();
        $this->get("/layouts/{$layout->uid}/library?recipe=fibre-4mm")
            ->assertOk()
            ->assertSee('Static fibre 4 mm')
            ->assertSee('low 66, high 150')
            ->assertSee('starting value');
        $this->patch("/layouts/{$layout->uid}/library/fibre-4mm", [
            'parts' => [1 => ['value' => '55']],
            'minutes' => ['next_coat' => '240'],
        ])->assertSessionHasNoErrors();
        $this->assertEqualsWithDelta(0.5 * $before, $need(), 0.01 * $before, '55 g a square metre instead of 110');
        $own = app(ProjectLoader::class)->works($layout)->recipes[0]->recipe;
        $this->assertSame(
            [Provenance::Yours, 240.0, 60.0],
            [$own->provenance, $own->cure->minutes['next_coat'], $own->cure->minutes['touch_dry']],
            'what was not typed stays',
        );
        $this->patch("/layouts/{$layout->uid}/library/fibre-4mm", ['parts' => [1 => ['value' => '70']]])->assertSessionHasNoErrors();
        $this->assertCount(1, app(ProjectLoader::class)->works($layout)->recipes, 'changed again, not doubled');
        $this->get("/layouts/{$layout->uid}/library?recipe=fibre-4mm")->assertSee('Starting values');
        $this->delete("/layouts/{$layout->uid}/library/fibre-4mm")->assertSessionHasNoErrors();
        $this->assertEqualsWithDelta($before, $need(), 1e-6);
        $this->from('/')->delete("/layouts/{$layout->uid}/library/fibre-4mm")->assertSessionHasErrors('recipe');
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertLessThan($before, $need(), 'undone it is ones own again');
    }

    public function test_a_recipe_under_a_new_name_can_be_laid_and_stays_while_it_is(): void
    {
        $layout = $this->demo();
        $there = $this->patch("/layouts/{$layout->uid}/library/sifted-soil", [
            'copy' => 'Peat of the tarn',
            'parts' => [0 => ['value' => '1.1']],
        ])->assertSessionHasNoErrors();
        $there->assertRedirect("/layouts/{$layout->uid}/library?recipe=peat-of-the-tarn");
        $this->patch("/layouts/{$layout->uid}/library/sifted-soil", ['copy' => 'Peat of the tarn'])->assertRedirect(
            "/layouts/{$layout->uid}/library?recipe=peat-of-the-tarn-2",
        );
        $zone = $layout->zones()->firstOrFail();
        $section = $layout->sections()->firstOrFail();
        $this->post($this->at($section, "/zones/{$zone->uid}/coats"), ['recipe' => 'peat-of-the-tarn'])->assertSessionHasNoErrors();
        $this->from('/')->delete("/layouts/{$layout->uid}/library/peat-of-the-tarn")->assertSessionHasErrors('recipe');
        $this->assertCount(2, app(ProjectLoader::class)->works($layout)->recipes);
        $this->delete("/layouts/{$layout->uid}/library/peat-of-the-tarn-2")->assertSessionHasNoErrors();
        $this->assertCount(1, app(ProjectLoader::class)->works($layout)->recipes);
    }

    public function test_figures_that_cannot_be_are_refused_beside_their_field(): void
    {
        $layout = $this->demo();
        $at = "/layouts/{$layout->uid}/library/fine-turf";
        $this->patch($at, ['minutes' => ['touch_dry' => '2000']])->assertSessionHasErrors('minutes/next_coat');
        $this->patch($at, ['parts' => [0 => ['value' => 'much']]])->assertSessionHasErrors('parts/0/value');
        $this->patch($at, ['parts' => [0 => ['value' => '-4']]])->assertSessionHasErrors();
        $this->patch($at, ['waste' => '900'])->assertSessionHasErrors('waste');
        $this->assertSame([], app(ProjectLoader::class)->works($layout)->recipes);
        $this->get("/layouts/{$layout->uid}/library?recipe=nothing")->assertOk()->assertSee('No recipe picked');
        $this->from('/')->patch("/layouts/{$layout->uid}/library/nothing", [])->assertSessionHasErrors();
    }

    public function test_schools_of_every_question_are_tried_on_a_zone_and_one_is_taken(): void
    {
        $layout = $this->demo();
        $section = $layout->sections()->where('name', 'Tarnhead')->firstOrFail();
        foreach (
            [
                'landform',
                'skin on foam',
                'track or land first',
                'wetting',
                'glue',
                'scatter',
                'ballast',
                'grass',
                'rock colour',
                'water',
            ] as $question
        ) {
            $this->get($this->at($section, '/coats/schools?question='.urlencode($question)))
                ->assertOk()
                ->assertSee('Until dry through')
                ->assertSee('What can go wrong')
                ->assertSee('To undo it');
        }
        $this->get($this->at($section, '/coats/schools?question=nonsense&zone=none'))->assertOk();
        // The demo has prices for some of it: what has none at all is not told as nothing.
        $this->get($this->at($section, '/coats/schools?question=rock+colour'))
            ->assertSee('no price yet')
            ->assertDontSee('>0.00<', false);
        $this->get($this->at($section, '/coats/schools?question=water'))->assertDontSee('>0.00<', false)->assertSee('over');
        $this->get($this->at($this->board(), '/coats/schools'))->assertOk()->assertSee('Make a zone on Coats first');
        $zone = array_values(array_filter(app(ProjectLoader::class)->works($layout)->zones, fn ($z): bool => $z->name === 'Crag'))[0];
        $before = count(app(ProjectLoader::class)->works($layout)->coatsOf($zone->uid));
        $this->post($this->at($section, "/zones/{$zone->uid}/school"), ['school' => 'rock-drybrush'])->assertSessionHasNoErrors();
        $coats = app(ProjectLoader::class)->works($layout)->coatsOf($zone->uid);
        $this->assertCount($before + 2, $coats);
        $this->assertSame(
            [3],
            array_values(
                array_map(fn (Coat $c): int => $c->passes, array_filter($coats, fn (Coat $c): bool => $c->recipe->id === 'dry-brushing')),
            ),
        );
        $this->from('/')
            ->post($this->at($section, "/zones/{$zone->uid}/school"), ['school' => 'none'])
            ->assertSessionHasErrors('recipe');
    }

    public function test_the_rule_book_reads_and_names_what_is_found_now(): void
    {
        $layout = $this->demo();
        $this->get("/layouts/{$layout->uid}/rules")
            ->assertOk()
            ->assertSee('Short fibre first')
            ->assertSee('Clearance on a curve, Tarnhead')
            ->assertSee('What has to be dry');
    }

    public function test_the_take_off_as_a_file_agrees_with_the_screen(): void
    {
        $layout = $this->demo();
        $csv = (string) $this->get("/layouts/{$layout->uid}/take-off")
            ->assertOk()
            ->assertHeader('Content-Type', 'text/csv; charset=utf-8')
            ->getContent();
        $rows = array_map(fn (string $line): array => str_getcsv($line, ',', '"', ''), array_filter(explode("\r\n", $csv)));
        $this->assertSame(['section', 'zone', 'coat', 'material', 'used_up', 'to_lie_ready', 'unit', 'cost'], $rows[0]);
        $desk = app(ComputedPlan::class);
        $items = TakeOff::items($desk->planOf(app(ProjectLoader::class)->of($layout), $desk->minute())->work);
        $this->assertCount(count($items) + 1, $rows);
        $this->assertEqualsWithDelta(
            array_sum(array_column($items, 'amount')),
            array_sum(array_column(array_slice($rows, 1), 4)),
            0.05 * count($items),
        );
        $section = $layout->sections()->where('name', 'Fell Halt')->firstOrFail();
        $part = (string) $this->get("/layouts/{$layout->uid}/take-off?section={$section->uid}")->getContent();
        $this->assertStringContainsString('Fell Halt', $part);
        $this->assertStringNotContainsString('Tarnhead', $part);
    }

    public function test_zones_by_height_damp_aspect_and_one_another_are_kept_and_said_as_a_sentence(): void
    {
        $layout = $this->demo();
        $section = $layout->sections()->where('name', 'Tarnhead')->firstOrFail();
        $this->post($this->at($section, '/zones'), [
            'name' => 'High north',
            'height_from' => '120',
            'height_to' => '300',
            'aspect' => 'north',
        ])->assertSessionHasNoErrors();
        $high = $layout->zones()->get()->last()->uid;
        $this->post($this->at($section, '/zones'), [
            'name' => 'Sedge',
            'damp' => '12',
            'without' => ['', $high],
        ])->assertSessionHasNoErrors();
        $this->get($this->at($section, "/coats?zone={$high}&edit=zone"))
            ->assertOk()
            ->assertSee('120 to 300 mm high, facing north')
            ->assertSee('The dampest 12 %, without High north');
        foreach (
            [
                ['height_from' => '300', 'height_to' => '100', 'at' => 'height/to'],
                ['damp' => '200', 'at' => 'damp'],
                ['aspect' => 'up', 'at' => 'aspect'],
                ['damp' => 'wet', 'at' => 'damp'],
            ] as $bad
        ) {
            $this->post($this->at($section, '/zones'), ['name' => 'Bad'] + $bad)->assertSessionHasErrors($bad['at']);
        }
        $sedge = $layout->zones()->get()->last()->uid;
        $this->patch($this->at($section, "/zones/{$high}"), ['name' => 'High north', 'within' => [$sedge]])->assertSessionHasErrors(
            'without',
        );
    }
}
