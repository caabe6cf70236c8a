<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

/** The room that several vehicles take along one run, and which of them takes it. */
final readonly class VehicleSweeps
{
    /** @var non-empty-list<array{Vehicle, VehicleSweep}> */
    private array $sweeps;

    /** @param  non-empty-list<Vehicle>  $vehicles */
    public function __construct(Alignment $alignment, array $vehicles)
    {
        $this->sweeps = array_map(fn (Vehicle $v): array => [$v, new VehicleSweep($alignment, $v)], $vehicles);
    }

    /**
     * Room to the left and right of the centreline, mm, who takes it, and the tightest radius that they reach from here.
     *
     * @return array{left: float, right: float, left_by: Vehicle, right_by: Vehicle, radius: float|null}
     */
    public function at(float $station): array
    {
        $out = ['left' => 0.0, 'right' => 0.0, 'left_by' => $this->sweeps[0][0], 'right_by' => $this->sweeps[0][0], 'radius' => null];
        foreach ($this->sweeps as [$vehicle, $sweep]) {
            $room = $sweep->at($station);
            foreach (['left', 'right'] as $side) {
                if ($room[$side] > $out[$side]) {
                    [$out[$side], $out["{$side}_by"]] = [$room[$side], $vehicle];
                }
            }
            $out['radius'] = $room['radius'] === null ? $out['radius'] : min($room['radius'], $out['radius'] ?? INF);
        }

        return $out;
    }
}
