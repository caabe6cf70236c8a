<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Rounds\DueCheck;
use IdleRidge\Core\Rounds\RoundsDue;
use Illuminate\Http\UploadedFile;
use Tests\BenchPlanChecker;
use Tests\Drawn;

/** Checks, what is not right and holds back, mishaps, the card of a board, what lies hidden. */
final class RoundsTest extends FeatureCase
{
    private const NOW = '2026-10-14T17:31Z';

    public function test_what_is_not_right_holds_back_until_it_is_right(): void
    {
        $layout = $this->evening(self::NOW);
        $page = "/layouts/{$layout->uid}/rounds";
        $check = $this->applicator($layout);
        $this->get($page)->assertOk()->assertSee($check->asks)->assertSee('Right')->assertDontSee('Put right first');
        $held = $this->movesOf($layout, $check);
        $this->assertNotSame([], $held);
        $this->post($page, ['check' => $check->key, 'answer' => 'not right', 'note' => 'The clip is broken', 'minutes' => '20'])
            ->assertSessionHasNoErrors();
        $plan = $this->plan($layout->refresh());
        $this->assertCount(1, $plan->mends);
        $mend = array_values($plan->mends)[0];
        $this->assertSame(20, $mend[1] - $mend[0]);
        foreach ($plan->moves as $placed) {
            if (in_array($placed->move->id, $held, true)) {
                $this->assertGreaterThanOrEqual($mend[1], $placed->start);
            }
        }
        $this->assertSame([], BenchPlanChecker::faults($plan));
        $this->get("/layouts/{$layout->uid}/tonight")
            ->assertSee('Put right first')
            ->assertSee('The clip is broken')
            ->assertSee('Right now');
        $this->from('/')
            ->post("/layouts/{$layout->uid}/moves", ['move' => $held[0]])
            ->assertSessionHasErrors('move');
        $this->assertSame('not right', $this->entries($layout)[0]->kind->value);

        $this->post($page, ['check' => $check->key, 'answer' => 'right', 'back' => 'tonight'])->assertRedirect(
            "/layouts/{$layout->uid}/tonight",
        );
        $this->assertSame([], $this->plan($layout->refresh())->mends);
        $this->get("/layouts/{$layout->uid}/tonight")->assertDontSee('Put right first');
        $this->get($page)->assertSee('Looked at today')->assertDontSee("check={$check->key}", false);
        // Undone, it holds back again, and both are written down.
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertCount(1, $this->plan($layout->refresh())->mends);
        $this->assertSame(
            ['undone', 'right', 'not right'],
            array_map(fn (JournalEntry $e): string => $e->kind->value, array_slice($this->entries($layout), 0, 3)),
        );
    }

    public function test_what_is_put_off_comes_back_and_what_nobody_asks_is_refused(): void
    {
        $layout = $this->evening(self::NOW);
        $page = "/layouts/{$layout->uid}/rounds";
        $check = $this->applicator($layout);
        $this->post($page, ['check' => $check->key, 'answer' => 'later'])->assertSessionHasNoErrors();
        $rounds = RoundsDue::of($this->plan($layout->refresh())->work);
        $this->assertNotContains($check->key, $this->keys($rounds->due));
        $this->assertSame([$check->key], $this->keys($rounds->later));
        $this->setClock('2026-10-15T05:30Z');
        $this->assertSame([$check->key], $this->keys($this->rounds($layout)->later), 'a minute before');
        $this->setClock('2026-10-15T05:31Z');
        $this->assertContains($check->key, $this->keys($this->rounds($layout)->due), 'half a day later');
        foreach (
            [
                'check' => ['check' => 'moon', 'answer' => 'right'],
                'answer' => ['check' => $check->key, 'answer' => 'perhaps'],
                'minutes' => ['check' => $check->key, 'answer' => 'not right', 'minutes' => '601'],
                'note' => ['check' => $check->key, 'answer' => 'not right', 'note' => str_repeat('x', 201)],
                'picture' => ['check' => $check->key, 'answer' => 'not right', 'picture' => $this->upload($this->text())],
            ] as $place => $bad
        ) {
            $this->from($page)->post($page, $bad + ['section' => $check->section->uid])->assertSessionHasErrors($place);
        }
        $this->assertSame(1, $layout->checks()->where('data', 'like', '%later%')->count());
        // The keys of what was laid: stripped and laid again it is asked anew.
        $this->assertStringContainsString('.', $check->key);
    }

    public function test_checks_follow_what_stands(): void
    {
        $layout = $this->evening(self::NOW);
        $keys = fn (): array => array_map(fn (string $key): string => (string) strtok($key, '.'), $this->keys($this->rounds($layout)->due));
        $kinds = array_values(array_unique($keys()));
        // Tarnhead is in the midst of it, Birch Cutting is bare, both are asked of what is next there.
        foreach (['applicator', 'film', 'gaps', 'cured', 'clear'] as $kind) {
            $this->assertContains($kind, $kinds);
        }
        $this->assertNotContains('BeforeShow', $kinds);
        $visit = ['kind' => 'visit', 'date' => '2026-10-20', 'from' => '18:00', 'to' => '20:00', 'name' => 'Guests'];
        $this->post("/layouts/{$layout->uid}/times", $visit)->assertSessionHasNoErrors();
        $this->assertContains('BeforeVisit', $keys(), 'in the week before a visit');
        // Ballast that is being laid asks of its points before it is glued.
        $ballast = array_values(array_filter($this->plan($layout)->work->moves, fn ($m): bool => $m->recipe->family->value === 'ballast'));
        $this->post("/layouts/{$layout->uid}/moves", ['move' => $ballast[0]->id])->assertSessionHasNoErrors();
        $this->get("/layouts/{$layout->uid}/rounds")->assertOk();
    }

    public function test_a_picture_comes_with_what_is_not_right(): void
    {
        $layout = $this->evening(self::NOW);
        $check = $this->applicator($layout);
        $photos = $layout->photos()->count();
        $this->post("/layouts/{$layout->uid}/rounds", [
            'check' => $check->key,
            'answer' => 'not right',
            'section' => $check->section->uid,
            'asks' => $check->asks,
            'picture' => $this->upload(Drawn::jpeg(300, 200, '#556655')),
        ])->assertSessionHasNoErrors();
        $this->assertSame($photos + 1, $layout->photos()->count());
    }

    public function test_places_where_it_stalls_are_on_the_map_and_on_the_card(): void
    {
        $layout = $this->evening(self::NOW);
        $page = "/layouts/{$layout->uid}/rounds";
        $this->get($page)->assertSee('806 mm to 829 mm: 3 passes');
        $run = $layout->runs()->firstOrFail();
        $this->post("{$page}/stalls", ['run' => $run->uid, 'station' => '40 cm', 'vehicle' => 'coach', 'what' => 'scraped', 'pass' => '4'])
            ->assertSessionHasNoErrors();
        $entry = $this->entries($layout)[0];
        $this->assertSame(['scraped', 400.0], [$entry->kind->value, $entry->place['station'] ?? null]);
        foreach (
            [
                'run' => ['run' => 'gone'],
                'station' => ['station' => '9 m'],
                'what' => ['what' => 'exploded'],
                'pass' => ['pass' => '0'],
            ] as $place => $bad
        ) {
            $this->from($page)
                ->post("{$page}/stalls", $bad + ['run' => $run->uid, 'station' => '1', 'what' => 'stalled', 'pass' => '1'])
                ->assertSessionHasErrors($place);
        }
        $stall = $layout->stalls()->firstOrFail();
        $this->delete("{$page}/stalls/{$stall->uid}")->assertRedirect();
        $this->get($page)->assertDontSee('3 passes');
    }

    public function test_the_card_of_a_board_says_what_one_has_to_know(): void
    {
        $layout = $this->evening(self::NOW);
        $board = $layout->sections()->where('name', 'Tarnhead')->firstOrFail();
        $check = $this->applicator($layout);
        $this->post("/layouts/{$layout->uid}/rounds", ['check' => $check->key, 'answer' => 'not right', 'note' => 'clip broken']);
        $this->get("/layouts/{$layout->uid}/rounds/sections/{$board->uid}")
            ->assertOk()
            ->assertSee('kg')
            ->assertSee('2 to lift it')
            ->assertSee('1200 mm × 600 mm')
            ->assertSee('Gloss medium on Tarn, until')
            ->assertSee('the water’s surface on Tarn')
            ->assertSee('feed 2, screw under the land')
            ->assertSee('clip broken')
            ->assertSee('806 mm along');
        foreach ($layout->sections()->get() as $one) {
            $this->get("/layouts/{$layout->uid}/rounds/sections/{$one->uid}")->assertOk();
        }
    }

    public function test_what_lies_hidden_is_noted_shown_and_told(): void
    {
        $layout = $this->evening(self::NOW);
        $board = $layout->sections()->where('name', 'Tarnhead')->firstOrFail();
        $page = "/layouts/{$layout->uid}/sections/{$board->uid}/cuts";
        $this->get("{$page}?on=hidden")->assertOk()->assertSee('Feed 2');
        $this->post("{$page}/hidden", [
            'kind' => 'screw',
            'name' => 'long screw',
            'places' => '300, 450',
            'bottom' => '0',
            'top' => '3 m',
            'wide' => '4',
        ])->assertSessionHasNoErrors();
        $this->get("{$page}?on=hidden")->assertSee('Meets the long screw')->assertSee('the carved surface');
        foreach (
            [
                'kind' => ['kind' => 'ghost'],
                'points' => ['places' => 'somewhere'],
                'top' => ['top' => '-5'],
                'wide' => ['wide' => '0'],
            ] as $place => $bad
        ) {
            $this->from($page)
                ->post("{$page}/hidden", $bad + ['kind' => 'screw', 'places' => '1, 2', 'bottom' => '0', 'top' => '1', 'wide' => '5'])
                ->assertSessionHasErrors($place);
        }
        $thing = $layout->hiddenThings()->get()->last();
        $this->delete("{$page}/hidden/{$thing?->uid}")->assertRedirect();
        $this->get("{$page}?on=hidden")->assertDontSee('long screw');
    }

    private function applicator(Layout $layout): DueCheck
    {
        $due = $this->rounds($layout)->due;

        return array_values(array_filter($due, fn (DueCheck $c): bool => str_starts_with($c->key, 'applicator')))[0];
    }

    private function rounds(Layout $layout): RoundsDue
    {
        $desk = app(ComputedPlan::class);

        return RoundsDue::of($desk->work(app(ProjectLoader::class)->of($layout->refresh()), $desk->minute()));
    }

    /**
     * @param  list<DueCheck>  $checks
     * @return list<string>
     */
    private function keys(array $checks): array
    {
        return array_map(fn (DueCheck $c): string => $c->key, $checks);
    }

    /** @return list<string> moves that the check holds back */
    private function movesOf(Layout $layout, DueCheck $check): array
    {
        $plan = $this->plan($layout);

        return array_keys(array_filter($plan->work->moves, fn ($m): bool => in_array($m->coat->uid, $check->holds, true)));
    }

    private function text(): string
    {
        $file = Drawn::file('jpg');
        file_put_contents($file, 'text');

        return $file;
    }

    private function upload(string $file): UploadedFile
    {
        return new UploadedFile($file, 'IMG.jpg', null, null, true);
    }

    /** @return list<JournalEntry> newest first */
    private function entries(Layout $layout): array
    {
        return array_reverse(app(ProjectLoader::class)->complete($layout->refresh())->works->journal->entries);
    }
}
