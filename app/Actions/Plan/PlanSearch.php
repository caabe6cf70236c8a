<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Computed\Clock\SearchTime;
use App\Computed\Clock\UlidGenerator;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\PlacedMove;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;

/**
 * A long search for a better plan: begun here, run on the queue, offered when it found one, never put in the place of the old by itself.
 */
final readonly class PlanSearch
{
    private const KEPT_SECONDS = 3600;

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private UlidGenerator $uids,
        private SavePlanRules $rules,
    ) {
    }

    /** @return string the search that is now to be run */
    public function begin(Layout $layout): string
    {
        $search = $this->uids->next();
        $this->put($layout, ['search' => $search, 'share' => 0.0, 'stop' => false, 'offer' => null, 'done' => false]);

        return $search;
    }

    public function stop(Layout $layout): void
    {
        $state = $this->state($layout);
        if ($state !== null) {
            $this->put($layout, ['stop' => true] + $state);
        }
    }

    public function run(Layout $layout, string $search): void
    {
        $project = $this->load->of($layout);
        $plan = $this->desk->planOf($project, $this->desk->minute());
        $found = BenchPlan::solve(
            $plan->work,
            SearchTime::of((float) config('ridge.search_seconds')),
            seed: 1 + ($plan->work->now % 10_000),
            each: function (float $share) use ($layout, $search): bool {
                $state = $this->state($layout);
                if ($state === null || $state['search'] !== $search || $state['stop']) {
                    return false;
                }
                if ($share - $state['share'] > 0.02) {
                    $this->put($layout, ['share' => $share] + $state);
                }

                return true;
            },
            proven: true,
        );
        $state = $this->state($layout);
        if ($state === null || $state['search'] !== $search) {
            return;
        }
        $better = BenchPlan::of($plan->work, $found);
        $this->put(
            $layout,
            [
                'share' => 1.0,
                'done' => true,
                'left' => self::left($plan, $better),
                'offer' => self::isBetter($better, $plan)
                    ? [
                        'moves' => array_map(fn (PlacedMove $p): string => $p->move->id, $better->moves),
                        'last' => (int) $better->lastHandsOn(),
                        'ready' => (int) $better->ready($better->work->certainty()),
                    ]
                    : null,
            ] + $state,
        );
    }

    /**
     * @return array{search: string, share: float, stop: bool, offer: array{moves: list<string>, last: int, ready: int}|null,
     *     done: bool, left?: int|null}|null
     */
    public function state(Layout $layout): ?array
    {
        $state = $this->store()->get($this->key($layout));

        /**
         * @var array{search: string, share: float, stop: bool, offer: array{moves: list<string>, last: int, ready: int}|null,
         *     done: bool, left?: int|null}|null $state
         */
        return is_array($state) ? $state : null;
    }

    /** @throws InvalidValue when nothing is offered any more */
    public function take(Layout $layout): void
    {
        $offer = $this->state($layout)['offer'] ?? throw new InvalidValue('Nothing is offered any more; the plan has moved on.', 'search');
        $plan = $this->desk->plan($layout);
        $moves = array_column(array_map(fn (PlacedMove $p): array => [$p->move->id, $p], $plan->moves), 1, 0);
        $order = array_values(array_filter(array_map(fn (string $id): ?PlacedMove => $moves[$id] ?? null, $offer['moves'])));
        $this->rules->take($layout, $order);
        $this->store()->forget($this->key($layout));
    }

    public function leave(Layout $layout): void
    {
        $this->store()->forget($this->key($layout));
    }

    /** Minutes by which a plan may at most still end sooner than the better of two, as far as is proven; null where nothing is planned. */
    private static function left(BenchPlan $one, BenchPlan $other): ?int
    {
        $ends = array_filter([$one->lastHandsOn(), $other->lastHandsOn()], fn (?int $end): bool => $end !== null);

        return $ends === [] ? null : max(0, min($ends) - max($one->bound, $other->bound));
    }

    /** Fewer without a session, then less late, then an earlier last minute, then earlier cured. */
    private static function isBetter(BenchPlan $one, BenchPlan $other): bool
    {
        $rank = fn (BenchPlan $p): array => [
            count($p->unplaced),
            array_sum($p->late()),
            $p->lastHandsOn() ?? 0,
            $p->ready($p->work->certainty()) ?? 0,
        ];

        return $rank($one) < $rank($other);
    }

    /** @param  array<string, mixed>  $state */
    private function put(Layout $layout, array $state): void
    {
        $this->store()->put($this->key($layout), $state, self::KEPT_SECONDS);
    }

    private function key(Layout $layout): string
    {
        return "search-{$layout->uid}";
    }

    private function store(): Repository
    {
        return Cache::store('computed');
    }
}
