<?php

declare(strict_types=1);

namespace App\Models;

use IdleRidge\Core\Measure\Units;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property float $ratio
 * @property float $gauge_mm
 * @property string $units
 * @property string $zone
 * @property string $currency
 * @property list<string> $viewing_edges
 * @property float $eye_distance_mm
 * @property float $eye_height_mm
 * @property string $region
 * @property string $season
 * @property list<array{name: string, body_mm: float, bogie_centres_mm: float, width_mm: float, height_mm: float}> $vehicles
 * @property bool $felt_grade
 * @property float $clearance_margin_mm
 * @property float $face_limit_deg
 * @property float|null $bank_reach_mm
 * @property float $tension
 * @property float $stiffness_mm
 * @property array<string, mixed> $cuts
 * @property array<string, string> $typed
 * @property string $file_extra
 * @property float $north_deg
 * @property string|null $show_on
 * @property array<string, mixed>|null $bench
 * @property array<string, mixed>|null $growth
 * @property string|null $removed_at
 */
final class Layout extends Record
{
    protected $casts = [
        'ratio' => 'float', 'gauge_mm' => 'float', 'viewing_edges' => 'array',
        'eye_distance_mm' => 'float', 'eye_height_mm' => 'float', 'vehicles' => 'array', 'felt_grade' => 'boolean',
        'clearance_margin_mm' => 'float', 'face_limit_deg' => 'float', 'bank_reach_mm' => 'float',
        'north_deg' => 'float', 'tension' => 'float', 'stiffness_mm' => 'float', 'cuts' => 'array', 'bench' => 'array', 'typed' => 'array',
        'growth' => 'array',
    ];

    public function unitsInUse(): Units
    {
        return Units::tryFrom($this->units) ?? Units::Metric;
    }

    /** @return HasMany<Section, $this> */
    public function sections(): HasMany
    {
        return $this->hasMany(Section::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Run, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(Run::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<LandFeature, $this> */
    public function features(): HasMany
    {
        return $this->hasMany(LandFeature::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Price, $this> */
    public function prices(): HasMany
    {
        return $this->hasMany(Price::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<AirReading, $this> */
    public function airReadings(): HasMany
    {
        return $this->hasMany(AirReading::class);
    }

    /** @return HasMany<Zone, $this> */
    public function zones(): HasMany
    {
        return $this->hasMany(Zone::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Coat, $this> */
    public function coats(): HasMany
    {
        return $this->hasMany(Coat::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<CoatApplication, $this> */
    public function applications(): HasMany
    {
        return $this->hasMany(CoatApplication::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Room, $this> */
    public function rooms(): HasMany
    {
        return $this->hasMany(Room::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<BenchSession, $this> */
    public function benchSessions(): HasMany
    {
        return $this->hasMany(BenchSession::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<JournalEntry, $this> */
    public function journalEntries(): HasMany
    {
        return $this->hasMany(JournalEntry::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<HiddenThing, $this> */
    public function hiddenThings(): HasMany
    {
        return $this->hasMany(HiddenThing::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Stand, $this> */
    public function stands(): HasMany
    {
        return $this->hasMany(Stand::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<LinesideRow, $this> */
    public function linesideRows(): HasMany
    {
        return $this->hasMany(LinesideRow::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Water, $this> */
    public function waters(): HasMany
    {
        return $this->hasMany(Water::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Mirror, $this> */
    public function mirrors(): HasMany
    {
        return $this->hasMany(Mirror::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Check, $this> */
    public function checks(): HasMany
    {
        return $this->hasMany(Check::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Stall, $this> */
    public function stalls(): HasMany
    {
        return $this->hasMany(Stall::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Trial, $this> */
    public function trials(): HasMany
    {
        return $this->hasMany(Trial::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Colour, $this> */
    public function colours(): HasMany
    {
        return $this->hasMany(Colour::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Recipe, $this> */
    public function recipes(): HasMany
    {
        return $this->hasMany(Recipe::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Lot, $this> */
    public function lots(): HasMany
    {
        return $this->hasMany(Lot::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Movement, $this> */
    public function movements(): HasMany
    {
        return $this->hasMany(Movement::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Revision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class);
    }
}
