<?php

declare(strict_types=1);

namespace App\Actions\Journal;

use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Check as CheckRow;
use App\Models\Layout;
use IdleRidge\Core\Interchange\JournalFile;
use IdleRidge\Core\Journal\CheckAnswer;
use IdleRidge\Core\Journal\CheckResult;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use IdleRidge\Core\Rounds\RoundsDue;

/** What is said of a check on a round. What is not right holds back what depends on it, until it is said to be right. */
final readonly class SaveCheck
{
    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private SaveJournal $journal,
    ) {
    }

    /**
     * @param  float|null  $minutes to put it right; null as long as it usually takes
     *
     * @throws InvalidValue when nobody asks that any more
     */
    public function answer(Layout $layout, string $key, string $answer, string $note, ?float $minutes): CheckResult
    {
        $said = InvalidValue::unlessOneOf(CheckAnswer::class, $answer, 'answer');
        $project = $this->load->of($layout);
        $due = RoundsDue::of($this->desk->work($project, $this->desk->minute()))->all[$key] ?? null;
        $before = CheckResult::standing($project->works->journal->checks)[$key] ?? null;
        if ($due === null && $before === null) {
            throw new InvalidValue('That is no longer asked: what it was about has changed. This is what is due now.', 'check');
        }
        $least = $said === CheckAnswer::NotRight ? 1.0 : 0.0;
        $usual = $said === CheckAnswer::NotRight ? (float) ($due->minutes ?? $before->minutes ?? 10) : 0.0;
        $spent = InvalidValue::unlessBetween(
            $minutes ?? $usual,
            $least,
            CheckResult::MAX_MEND_MINUTES,
            'Putting it right',
            'min',
            'minutes',
        );
        $result = new CheckResult(
            $this->rows->uid(),
            $this->desk->minute(),
            $key,
            $due->section->uid ?? $before->section ?? '',
            $said,
            $due->asks ?? $before->asks ?? '',
            Words::plain($note),
            (int) round($spent),
            $said === CheckAnswer::NotRight ? $due->holds ?? $before->holds ?? [] : [],
        );
        $where = $due === null ? '' : " ({$due->where})";
        $this->ledger->record(
            $layout,
            "{$result->asks} {$said->value}",
            function (ChangeSet $changes) use ($layout, $result, $said, $where): void {
                $this->rows->add($changes, $layout, CheckRow::class, JournalFile::fromCheck($result));
                if ($said !== CheckAnswer::Later) {
                    $kind = $said === CheckAnswer::Right ? JournalKind::Right : JournalKind::NotRight;
                    $more = $result->note === '' ? '' : ": {$result->note}";
                    $this->journal->write($layout, $kind, $result->section, null, $result->asks.$where.$more);
                }
            },
        );

        return $result;
    }
}
