<?php

declare(strict_types=1);

namespace App\Actions\Cuts;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Actions\Ledger\StaleRecord;
use App\Computed\Cuts\ComputedCuts;
use App\Computed\Cuts\ComputedSheets;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Lot as LotRow;
use App\Models\Movement as MovementRow;
use App\Models\Section as SectionRow;
use IdleRidge\Core\Interchange\StockFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\SheetKind;
use IdleRidge\Core\Shelf\SheetLot;
use IdleRidge\Core\Shelf\StockMovement;
use IdleRidge\Core\Shelf\Store;
use Psr\Clock\ClockInterface;

/** Foam in store: what is counted there, and what cutting takes from it and puts back. */
final readonly class SaveStock
{
    private const MAX_SHEETS = 500;

    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private ComputedCuts $desk,
        private ComputedSheets $sheets,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input lots[uid] → how many there are, shown[uid] → how many the page said; new[sheet_mm,
     *     sheet_width_mm, sheet_depth_mm, count, kind]
     */
    public function counted(Layout $layout, array $input): void
    {
        $store = $this->load->works($layout)->store;
        $typed = new FormInput($input);
        $by = [];
        foreach ($store->sheetLots() as $lot) {
            $text = $typed->text("lots.{$lot->uid}");
            // What was left as it was shown is not counted anew.
            if ($text !== '' && $text !== $typed->text("shown.{$lot->uid}")) {
                $this->unlessMoved($lot, $store->count($lot->uid), $typed->text("shown.{$lot->uid}"), $text);
                $by[$lot->uid] = $this->count($typed, "lots.{$lot->uid}") - $store->count($lot->uid);
            }
        }
        $new = null;
        if (
            implode(
                '',
                array_map(fn (string $part): string => $typed->text("new.{$part}"), [
                    'sheet_mm',
                    'sheet_width_mm',
                    'sheet_depth_mm',
                    'count',
                ]),
            ) !== ''
        ) {
            $sizes = [$typed->length('new.sheet_mm'), $typed->length('new.sheet_width_mm'), $typed->length('new.sheet_depth_mm')];
            $many = $typed->text('new.count') === '' ? 1 : $this->count($typed, 'new.count');
            $word = $typed->text('new.kind', SheetKind::Sheet->value);
            $new = fn (): array => [$this->lot(InvalidValue::unlessOneOf(SheetKind::class, $word, 'new/kind'), $sizes, 'new'), $many];
        }
        $made = $typed->made(fn (): array => $new === null ? [] : $new());
        $this->ledger->record($layout, 'Foam in store counted', function (ChangeSet $changes) use ($layout, $store, $by, $made): void {
            foreach ($by as $lot => $change) {
                $this->move($changes, $layout, $lot, $change, MovementCause::Counted, null);
            }
            if ($made !== [] && $made[1] > 0) {
                $this->move($changes, $layout, $this->like($changes, $layout, $store, $made[0]), $made[1], MovementCause::Counted, null);
            }
        });
    }

    /** The sheets that the pieces of a section are laid on are cut up: taken from store, or bought and taken; offcuts go into store. */
    public function cut(Layout $layout, SectionRow $row): string
    {
        $sentence = "Sheets for {$row->name} cut";
        $this->ledger->unlessDone($layout, $sentence);
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $laid = $this->sheets->of($this->desk->page($project, $section));
        if ($laid->count() === 0) {
            throw new InvalidValue('There is nothing to cut yet.', 'cuts');
        }
        $cuts = $project->cuts();

        return $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use ($layout, $section, $laid, $cuts): string {
            $store = $this->load->works($layout)->store;
            foreach ($laid->nested as $thickness => $nested) {
                $kinds = $cuts->ofThickness((float) $thickness);
                foreach ($nested->used as $used) {
                    $sheet = $kinds[(int) substr((string) strrchr($used['sheet'], '-'), 1)] ?? $cuts->first();
                    $lot = $this->like(
                        $changes,
                        $layout,
                        $store,
                        $this->lot(SheetKind::Sheet, [$sheet->thickness, $sheet->width, $sheet->depth], 'cuts'),
                    );
                    if ($sheet->count === null) {
                        $this->move($changes, $layout, $lot, 1, MovementCause::Bought, $section->uid);
                    }
                    $this->move($changes, $layout, $lot, -1, MovementCause::Cut, $section->uid);
                    $store = $this->load->works($layout)->store;
                }
            }
            foreach ($laid->offcuts() as $strip) {
                $lot = $this->like(
                    $changes,
                    $layout,
                    $this->load->works($layout)->store,
                    $this->lot(SheetKind::Offcut, [$strip['thickness'], floor($strip['width']), floor($strip['height'])], 'cuts'),
                );
                $this->move($changes, $layout, $lot, 1, MovementCause::LeftOver, $section->uid);
            }
            $count = count($laid->offcuts());

            return $laid->count().
                ($laid->count() === 1 ? ' sheet' : ' sheets').
                ' taken'.
                ($count === 0 ? '.' : ($count === 1 ? ', an offcut put into store.' : ", {$count} offcuts put into store."));
        });
    }

    /** @throws StaleRecord when some were taken or put there since it was shown */
    private function unlessMoved(SheetLot $lot, int $now, string $shown, string $typed): void
    {
        if ($shown !== '' && (int) $shown !== $now) {
            throw new StaleRecord('What lies in store', ['how many' => (string) $now], ['how many' => $typed]);
        }
    }

    private function count(FormInput $typed, string $field): int
    {
        $count = $typed->number($field);
        if (! is_nan($count) && ($count < 0.0 || $count > self::MAX_SHEETS || floor($count) !== $count)) {
            $typed->fault('There are 0 to '.self::MAX_SHEETS.' of them, whole ones.', str_replace('.', '/', $field));
        }

        return is_nan($count) ? 0 : (int) $count;
    }

    /**
     * @param  array{float, float, float}  $sizes
     *
     * @throws InvalidValue
     */
    private function lot(SheetKind $kind, array $sizes, string $at): SheetLot
    {
        try {
            return new SheetLot($this->rows->uid(), $kind, ...$sizes);
        } catch (InvalidValue $refusal) {
            throw $refusal->within($at);
        }
    }

    /** The lot of that size, written down where it is the first of it. */
    private function like(ChangeSet $changes, Layout $layout, Store $store, SheetLot $wanted): string
    {
        foreach ($store->sheetLots() as $lot) {
            if ($lot->isLike($wanted->thickness, $wanted->width, $wanted->depth)) {
                return $lot->uid;
            }
        }
        $this->rows->add($changes, $layout, LotRow::class, StockFile::fromLot($wanted));

        return $wanted->uid;
    }

    private function move(ChangeSet $changes, Layout $layout, string $lot, int $by, MovementCause $cause, ?string $section): void
    {
        if ($by !== 0) {
            $now = intdiv($this->clock->now()->getTimestamp(), 60);
            $this->rows->add(
                $changes,
                $layout,
                MovementRow::class,
                StockFile::fromMovement(new StockMovement($this->rows->uid(), $lot, $by, $cause, $section, $now)),
            );
        }
    }
}
