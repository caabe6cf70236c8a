<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use App\Computed\Clock\UlidGenerator;
use App\Computed\ProjectLoader;
use App\Computed\UnreadableLayout;
use App\Models\Layout;
use App\Models\Revision;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/**
 * Every change is one transaction and one revision; undo and redo are revisions too, so the history only grows. What can
 * be undone follows from reading it in order: an edit ends what could be redone.
 */
final readonly class Ledger
{
    public function __construct(
        private ClockInterface $clock,
        private UlidGenerator $uids,
        private SeenRevision $seen,
        private Freshness $freshness,
        private ProjectLoader $load,
    ) {
    }

    /**
     * @template T
     *
     * @param  callable(ChangeSet): T  $work
     * @return T
     *
     * @throws InvalidValues when the layout would not hold together with it; nothing is changed then
     * @throws StaleRecord when a row of it was changed since it was seen
     */
    public function record(Layout $layout, string $sentence, callable $work): mixed
    {
        return DB::transaction(function () use ($layout, $sentence, $work): mixed {
            $changes = new ChangeSet($this->freshness);
            try {
                $result = $work($changes);
            } catch (UniqueConstraintViolationException $double) {
                throw self::alreadyThere($double);
            }
            if ($changes->rows() !== []) {
                $this->unlessBroken($layout);
                $this->note($layout, 'edit', $sentence, $changes->rows());
            }

            return $result;
        });
    }

    /**
     * For what is done once, whoever does it first.
     *
     * @throws Overtaken when the same was done since the page was made that asks for it
     */
    public function unlessDone(Layout $layout, string $sentence): void
    {
        $since = Revision::query()
            ->where('layout_id', $layout->id)
            ->where('id', '>', $this->seen->step ?? PHP_INT_MAX);
        if ($since->where('kind', 'edit')->where('sentence', $sentence)->exists()) {
            throw new Overtaken("“{$sentence}” was done on another device a moment ago. This is how it stands.");
        }
    }

    private static function alreadyThere(UniqueConstraintViolationException $double): InvalidValues
    {
        $places = ['sections_called' => 'name', 'zones_called' => 'name', 'one_being_laid' => 'move'];
        preg_match("/index '(\w+)'/", $double->getMessage(), $index);
        $place = $places[$index[1] ?? ''] ?? 'form';

        return new InvalidValues([
            new InvalidValue(
                match ($place) {
                    'name' => 'There is one of that name already.',
                    'move' => 'Something is being laid already; finish it or stop there first.',
                    default => 'That stands already; load the page again.',
                },
                $place,
            ),
        ]);
    }

    /** Reads the layout as it would be: what does not fit is refused beside its field, and the transaction undone. */
    private function unlessBroken(Layout $layout): void
    {
        try {
            $this->load->of(Layout::query()->findOrFail($layout->id));
        } catch (UnreadableLayout $unreadable) {
            throw new InvalidValues(
                array_map(
                    fn (InvalidValue $r): InvalidValue => new InvalidValue($r->getMessage(), basename($r->place)),
                    $unreadable->faults->all,
                ),
            );
        }
    }

    /**
     * @return UndoResult|null null when there is nothing to undo
     *
     * @throws Overtaken when somebody did something since the page was made that asks for it
     */
    public function undo(Layout $layout): ?UndoResult
    {
        return $this->turn($layout, 'undo');
    }

    /** @throws Overtaken as above */
    public function redo(Layout $layout): ?UndoResult
    {
        return $this->turn($layout, 'redo');
    }

    /** @return array{undo: string|null, redo: string|null} the sentences of what would be undone and done again */
    public function next(Layout $layout): array
    {
        [$done, $undone] = $this->stacks($layout);
        $sentence = fn (?int $id): ?string => $id === null ? null : Revision::query()->whereKey($id)->value('sentence');

        return ['undo' => $sentence(self::last($done)), 'redo' => $sentence(self::last($undone))];
    }

    /** The newest step, with its sentence as the history tells it. */
    public function newest(Layout $layout): ?Revision
    {
        return Revision::query()
            ->where('layout_id', $layout->id)
            ->orderByDesc('id')
            ->first(['id', 'kind', 'sentence']);
    }

    /** @param  'undo'|'redo'  $kind */
    private function turn(Layout $layout, string $kind): ?UndoResult
    {
        return DB::transaction(function () use ($layout, $kind): ?UndoResult {
            $last = $this->newest($layout);
            if ($this->seen->step !== null && $last !== null && $last->id > $this->seen->step) {
                throw new Overtaken(
                    "“{$last->sentence}” was done on another device meanwhile, so nothing was turned back. Once more takes that back.",
                );
            }
            [$done, $undone] = $this->stacks($layout);
            $id = self::last($kind === 'undo' ? $done : $undone);
            if ($id === null) {
                return null;
            }
            $revision = Revision::query()->findOrFail($id);
            $rows = $this->rows($layout, $kind, $revision);
            $this->note($layout, $kind, $revision->sentence, $rows ?? [], $revision->id);
            event(new StepReverted($layout, $kind, $revision->sentence, $rows ?? []));

            return new UndoResult($kind, $revision->sentence, $rows === null);
        });
    }

    /**
     * Brings all rows of a step to where they were, or none of them.
     *
     * @return list<array{table: string, uid: string, before: array<string, mixed>|null, after: array<string, mixed>|null}>|null null when
     *     one is not in the state it should be in
     */
    private function rows(Layout $layout, string $kind, Revision $revision): ?array
    {
        $changes = $kind === 'undo' ? array_reverse($revision->changes) : $revision->changes;
        try {
            return DB::transaction(function () use ($layout, $kind, $changes): array {
                $rows = [];
                foreach ($changes as $change) {
                    [$from, $to] = $kind === 'undo' ? [$change['after'], $change['before']] : [$change['before'], $change['after']];
                    $rows[] = $this->put($layout, $change['table'], $change['uid'], $from, $to);
                }

                return $rows;
            });
        } catch (StaleRecord|UniqueConstraintViolationException) {
            return null;
        }
    }

    /**
     * Brings a row from one state to another.
     *
     * @param  array<string, mixed>|null  $from
     * @param  array<string, mixed>|null  $to
     * @return array{table: string, uid: string, before: array<string, mixed>|null, after: array<string, mixed>|null}
     *
     * @throws StaleRecord when the row is not in the state it should be in
     */
    private function put(Layout $layout, string $table, string $uid, ?array $from, ?array $to): array
    {
        $query = fn () => self::row($layout, $table, $uid);
        $found = $query()->first();
        $now = $found === null ? null : array_diff_key((array) $found, ['id' => true]);
        if (! self::same($now, $from)) {
            throw new StaleRecord('What this step is about', [], []);
        }
        if ($to === null) {
            $query()->delete();
        } else {
            $to['rev'] = max((int) ($now['rev'] ?? 0), (int) $to['rev']) + 1;
            $found === null ? DB::table($table)->insert($to) : $query()->update($to);
        }

        return ['table' => $table, 'uid' => $uid, 'before' => $now, 'after' => $to];
    }

    /**
     * Reads a layout as it was after a step; nothing of it stays so.
     *
     * @template T
     *
     * @param  callable(Layout): T  $read
     * @return T
     *
     * @throws InvalidValue where all came back from a copy since
     */
    public function asItWas(Layout $layout, int $step, callable $read): mixed
    {
        DB::beginTransaction();
        try {
            foreach (Revision::query()->where('layout_id', $layout->id)->where('id', '>', $step)->orderByDesc('id')->lazy() as $revision) {
                if ($revision->kind === 'restore') {
                    throw new InvalidValue('All came back from a copy since; what was before that is not known any more.', 'step');
                }
                foreach (array_reverse($revision->changes) as $change) {
                    $query = self::row($layout, $change['table'], $change['uid']);
                    $change['before'] === null ? $query->delete() : $query->updateOrInsert([], $change['before']);
                }
            }

            return $read(Layout::query()->findOrFail($layout->id));
        } finally {
            DB::rollBack();
        }
    }

    /** A row of one layout: copies have rows of the same uids. */
    private static function row(Layout $layout, string $table, string $uid): Builder
    {
        return DB::table($table)
            ->where('uid', $uid)
            ->when($table !== 'layouts', fn (Builder $q) => $q->where('layout_id', $layout->id));
    }

    /**
     * Whether two states of a row are one, but for its count of changes. The database keeps fourteen digits of a number.
     *
     * @param  array<string, mixed>|null  $a
     * @param  array<string, mixed>|null  $b
     */
    private static function same(?array $a, ?array $b): bool
    {
        if ($a === null || $b === null || array_diff_key($a, $b) + array_diff_key($b, $a) !== []) {
            return $a === $b;
        }
        foreach (array_diff_key($a, ['rev' => true]) as $key => $value) {
            $numbers = is_float($value) && is_numeric($b[$key]);
            if ($numbers ? abs($value - (float) $b[$key]) > 1e-12 * max(1.0, abs($value)) : $value != $b[$key]) {
                return false;
            }
        }

        return true;
    }

    /** @return array{list<int>, list<int>} revisions that can be undone, and redone, the next one last */
    private function stacks(Layout $layout): array
    {
        $done = $undone = [];
        foreach (
            Revision::query()
                ->where('layout_id', $layout->id)
                ->orderBy('id')
                ->get(['id', 'kind', 'target_id']) as $revision
        ) {
            if ($revision->kind === 'edit') {
                $done[] = $revision->id;
                $undone = [];
            } elseif ($revision->kind === 'undo') {
                array_pop($done);
                $undone[] = (int) $revision->target_id;
            } elseif ($revision->kind === 'redo') {
                array_pop($undone);
                $done[] = (int) $revision->target_id;
            }
        }

        return [$done, $undone];
    }

    /** @param  list<int>  $stack */
    private static function last(array $stack): ?int
    {
        return $stack === [] ? null : $stack[count($stack) - 1];
    }

    /** @param  list<array{table: string, uid: string, before: array<string, mixed>|null, after: array<string, mixed>|null}>  $rows */
    private function note(Layout $layout, string $kind, string $sentence, array $rows, ?int $target = null): void
    {
        $revision = Revision::query()->create([
            'uid' => $this->uids->next(),
            'layout_id' => $layout->id,
            'kind' => $kind,
            'target_id' => $target,
            'sentence' => $sentence,
            'changes' => $rows,
            'made_at' => $this->clock->now()->format('Y-m-d H:i:s'),
        ]);
        $this->seen->own[] = $revision->id;
    }
}
