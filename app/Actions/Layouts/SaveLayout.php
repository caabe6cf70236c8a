<?php

declare(strict_types=1);

namespace App\Actions\Layouts;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Computed\Clock\UlidGenerator;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Room;
use DateTimeZone;
use IdleRidge\Core\Cure\Room as CoreRoom;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Interchange\BenchFile;
use IdleRidge\Core\Interchange\GrowthFile;
use IdleRidge\Core\Interchange\RoomFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Project\LayoutGrowth;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Viewing;
use IdleRidge\Core\Track\StartingValues;
use IdleRidge\Core\Track\Vehicle;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Begins, changes, puts away and brings back layouts. */
final readonly class SaveLayout
{
    public function __construct(private Ledger $ledger, private UlidGenerator $uids, private ClockInterface $clock)
    {
    }

    /** @param  array<string, mixed>  $input */
    public function create(array $input): Layout
    {
        $sheet = $this->read($input, null);
        $layout = new Layout(['uid' => $sheet->uid, 'rev' => 1, 'extra' => '{}', 'file_extra' => '{}'] + self::columns($sheet));
        DB::transaction(function () use ($layout): void {
            $layout->save();
            // Something has to say how fast things dry; the builder mends it on the sheet.
            (new Room(['uid' => $this->uids->next(), 'layout_id' => $layout->id, 'rev' => 1, 'position' => 1]))
                ->keep(RoomFile::from(CoreRoom::standard()))
                ->save();
        });

        return $layout;
    }

    /**
     * The sheet of a layout that does not stand yet.
     *
     * @param  array<string, mixed>  $input
     */
    public function begun(array $input): LayoutSheet
    {
        return $this->read($input, null);
    }

    /** @param  array<string, mixed>  $input */
    public function change(Layout $layout, array $input): void
    {
        $sheet = $this->read($input, $layout);
        $layout->fill(self::columns($sheet));
        $this->ledger->record($layout, 'Layout sheet changed', fn (ChangeSet $changes) => $changes->save($layout));
    }

    public function putAway(Layout $layout): void
    {
        $layout->update(['removed_at' => $this->clock->now()->format('Y-m-d H:i:s')]);
    }

    public function bringBack(Layout $layout): void
    {
        $layout->update(['removed_at' => null]);
    }

    /** @return array<string, mixed> */
    public static function columns(LayoutSheet $sheet): array
    {
        return [
            'name' => $sheet->name,
            'ratio' => $sheet->scale->ratio,
            'gauge_mm' => $sheet->gauge,
            'units' => $sheet->units->value,
            'zone' => $sheet->zone,
            'currency' => $sheet->currency,
            'viewing_edges' => array_column($sheet->viewing->edges, 'value'),
            'eye_distance_mm' => $sheet->viewing->distance,
            'eye_height_mm' => $sheet->viewing->height,
            'region' => $sheet->region,
            'season' => $sheet->season,
            'vehicles' => array_map(fn (Vehicle $v): array => $v->toArray(), $sheet->clearance->vehicles),
            'felt_grade' => $sheet->feltGrade,
            'growth' => GrowthFile::fromGrowth($sheet->growth) ?: null,
            'clearance_margin_mm' => $sheet->clearance->margin,
            'face_limit_deg' => $sheet->faceLimitDeg,
            'bank_reach_mm' => $sheet->bankReach,
            'tension' => $sheet->tension,
            'stiffness_mm' => $sheet->stiffness,
            'cuts' => $sheet->cuts->toArray(),
            'typed' => $sheet->typed,
            'show_on' => $sheet->showOn,
            'north_deg' => $sheet->northDeg,
            'bench' => BenchFile::fromRules($sheet->bench),
        ];
    }

    /** @param  array<string, mixed>  $input what is not sent keeps what stands, or takes a starting value */
    private function read(array $input, ?Layout $layout): LayoutSheet
    {
        $old = $layout === null ? new LayoutSheet($this->uids->next(), 'New', 87.1, 16.5) : ProjectLoader::sheet($layout);
        $units = Units::tryFrom((new FormInput($input))->text('units')) ?? $old->units;
        $typed = new FormInput($input);
        $ratio = $typed->number('ratio', $old->scale->ratio);
        $gauge = $typed->length('gauge_mm', $old->gauge, $old->gauge);
        // A new layout begins with what fits its scale.
        $fits = $layout === null && $ratio >= 1.0 && $ratio <= 1000.0 ? Scale::oneTo($ratio) : null;
        $clear = $fits === null ? $old->clearance : new LayoutClearance([StartingValues::coach($fits)], StartingValues::margin($fits));
        $margin = $typed->length('clearance_margin_mm', $clear->margin, $clear->margin);
        $face = $typed->number('face_limit_deg', $old->faceLimitDeg);
        $reach = $typed->has('bank_reach_mm')
            ? ($typed->text('bank_reach_mm') === ''
                ? null
                : $typed->length('bank_reach_mm', current: $old->bankReach))
            : $old->bankReach;
        $tension = $typed->number('tension', $old->tension);
        $stiffness = $typed->length('stiffness_mm', $old->stiffness, $old->stiffness);
        $cuts = CutSettingsInput::read($typed, $layout === null ? CutSettings::starting($units) : $old->cuts);
        $north = $typed->number('north_deg', $old->northDeg);
        $growth = $this->growth($typed, $old->growth);
        $edges = $typed->has('viewing_edges')
            ? array_values(array_filter(array_map('strval', array_filter($typed->list('viewing_edges'), 'is_scalar'))))
            : array_column($old->viewing->edges, 'value');
        $distance = $typed->length('eye_distance_mm', $old->viewing->distance, $old->viewing->distance);
        $height = $typed->length('eye_height_mm', $old->viewing->height, $old->viewing->height);

        return $typed->made(
            fn (): LayoutSheet => new LayoutSheet(
                $old->uid,
                $typed->text('name', $old->name),
                $ratio,
                $gauge,
                $units,
                $layout === null ? self::known($typed->text('zone')) ?? $old->zone : $typed->text('zone', $old->zone),
                strtoupper($typed->text('currency', $old->currency)),
                new Viewing(BoardEdge::named($edges, 'viewing_edges'), $distance, $height),
                $typed->text('region', $old->region),
                $typed->text('season', $old->season),
                new LayoutClearance($typed->has('vehicles') ? $this->vehicles($typed, $old) : $clear->vehicles, $margin),
                $face,
                $reach,
                $tension,
                $stiffness,
                $cuts(),
                $typed->kept() + $old->typed,
                $old->extra,
                $typed->has('show_on') ? ($typed->text('show_on') ?: null) : $old->showOn,
                $north,
                $typed->has('felt_grade') ? $typed->text('felt_grade') === '1' : $old->feltGrade,
                $old->bench,
                $growth(),
            ),
        );
    }

    /** The zone that a browser says it is in, if this program knows it. */
    private static function known(string $zone): ?string
    {
        return in_array($zone, DateTimeZone::listIdentifiers(), true) ? $zone : null;
    }

    /** @return callable(): LayoutGrowth */
    private function growth(FormInput $typed, LayoutGrowth $old): callable
    {
        $far = $typed->number('far_percent', 100.0 * $old->farScale) / 100.0;
        $shelf = match (true) {
            ! $typed->has('shelf_mm') => $old->shelf,
            $typed->text('shelf_mm') === '' => null,
            default => $typed->length('shelf_mm', current: $old->shelf),
        };

        return fn (): LayoutGrowth => new LayoutGrowth($far, $shelf);
    }

    /**
     * Rows with neither name nor sizes are left out; a row's faults are said at its fields.
     *
     * @return list<Vehicle>
     */
    private function vehicles(FormInput $typed, LayoutSheet $old): array
    {
        $out = [];
        foreach (array_keys($typed->list('vehicles')) as $k) {
            $field = fn (string $part): string => "vehicles.{$k}.{$part}";
            if (
                implode(
                    '',
                    array_map(fn (string $part): string => $typed->text($field($part)), [
                        'name',
                        'body_mm',
                        'bogie_centres_mm',
                        'width_mm',
                        'height_mm',
                    ]),
                ) === ''
            ) {
                continue;
            }
            $was = $old->clearance->vehicles[$k] ?? null;
            $sizes = [
                $typed->length($field('body_mm'), current: $was?->body),
                $typed->length($field('bogie_centres_mm'), current: $was?->bogieCentres),
                $typed->length($field('width_mm'), current: $was?->width),
                $typed->length($field('height_mm'), current: $was?->height),
            ];
            try {
                $out[] = Vehicle::from(...[...$sizes, $typed->text($field('name'))]);
            } catch (InvalidValue $refusal) {
                throw $refusal->within("vehicles/{$k}");
            }
        }

        return $out;
    }
}
