<?php

declare(strict_types=1);

namespace App\Workshop\Revising;

use App\Models\Layout;
use App\Models\Revision;
use App\Workshop\Time\Uids;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/**
 * Every change is one transaction and one revision; undo and redo are revisions too, so the history only grows. What can
 * be undone follows from reading it in order: an edit ends what could be redone.
 */
final readonly class Ledger
{
    public function __construct(private ClockInterface $clock, private Uids $uids)
    {
    }

    /**
     * @template T
     *
     * @param callable(Changes): T $work
     * @return T
     */
    public function record(Layout $layout, string $sentence, callable $work): mixed
    {
        return DB::transaction(function () use ($layout, $sentence, $work): mixed {
            $changes = new Changes;
            $result = $work($changes);
            if ($changes->rows() !== []) {
                $this->note($layout, 'edit', $sentence, $changes->rows());
            }

            return $result;
        });
    }

    /** @return string|null the sentence of what was undone, null when there is nothing */
    public function undo(Layout $layout): ?string
    {
        return $this->turn($layout, 'undo');
    }

    /** @return string|null the sentence of what was done again, null when there is nothing */
    public function redo(Layout $layout): ?string
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

    /** @param  'undo'|'redo'  $kind */
    private function turn(Layout $layout, string $kind): ?string
    {
        return DB::transaction(function () use ($layout, $kind): ?string {
            [$done, $undone] = $this->stacks($layout);
            $id = self::last($kind === 'undo' ? $done : $undone);
            if ($id === null) {
                return null;
            }
            $revision = Revision::query()->findOrFail($id);
            $rows = [];
            $changes = $kind === 'undo' ? array_reverse($revision->changes) : $revision->changes;
            foreach ($changes as $change) {
                [$from, $to] = $kind === 'undo' ? [$change['after'], $change['before']] : [$change['before'], $change['after']];
                $rows[] = $this->put($layout, $change['table'], $change['uid'], $from, $to);
            }
            $this->note($layout, $kind, $revision->sentence, $rows, $revision->id);
            event(new StepTurned($layout, $kind, $revision->sentence, $rows));

            return $revision->sentence;
        });
    }

    /**
     * Brings a row from one state to another.
     *
     * @param array<string, mixed>|null $from
     * @param array<string, mixed>|null $to
     * @return array{table: string, uid: string, before: array<string, mixed>|null, after: array<string, mixed>|null}
     *
     * @throws StaleRecord when the row is not in the state it should be in
     */
    private function put(Layout $layout, string $table, string $uid, ?array $from, ?array $to): array
    {
        $query = fn () => DB::table($table)->where('uid', $uid)
            ->when($table !== 'layouts', fn ($q) => $q->where('layout_id', $layout->id));
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
     * Whether two states of a row are one, but for its count of changes. The database keeps fourteen digits of a number.
     *
     * @param array<string, mixed>|null $a
     * @param array<string, mixed>|null $b
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
        foreach (Revision::query()->where('layout_id', $layout->id)->orderBy('id')->get(['id', 'kind', 'target_id']) as $revision) {
            if ($revision->kind === 'edit') {
                $done[] = $revision->id;
                $undone = [];
            } elseif ($revision->kind === 'undo') {
                array_pop($done);
                $undone[] = (int) $revision->target_id;
            } else {
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
        Revision::query()->create([
            'uid' => $this->uids->next(),
            'layout_id' => $layout->id,
            'kind' => $kind,
            'target_id' => $target,
            'sentence' => $sentence,
            'changes' => $rows,
            'made_at' => $this->clock->now()->format('Y-m-d H:i:s'),
        ]);
    }
}
