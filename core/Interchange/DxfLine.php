<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

/** A polyline of a DXF file while its group codes come in. */
final class DxfLine
{
    public string $layer = '';

    public bool $closed = false;

    public float $level = 0.0;

    /** @var list<float> */
    public array $xs = [];

    /** @var array<int, float> */
    public array $ys = [];

    /** @var array<int, float> */
    public array $zs = [];

    /** @var array<int, float> */
    public array $bulges = [];

    private bool $vertex = false;

    public function __construct(public readonly bool $light)
    {
    }

    /** A VERTEX of its own begins; those of light polylines begin with their x. */
    public function begin(): void
    {
        $this->vertex = true;
    }

    public function take(int $code, float $value): void
    {
        if ($code === 10 && ($this->light || $this->vertex)) {
            $this->xs[] = $value;
        } elseif ($code === 38) {
            $this->level = $value;
        } elseif ($this->xs !== [] && ($this->light || $this->vertex)) {
            $at = count($this->xs) - 1;
            match ($code) {
                20 => $this->ys[$at] = $value,
                30 => $this->zs[$at] = $value,
                42 => $this->bulges[$at] = $value,
                default => null,
            };
        }
    }

    /** @return list<array{float, float, float, float}> x, y, z, bulge to the next; the first again when it is closed */
    public function vertices(float $scale): array
    {
        $out = [];
        foreach ($this->xs as $k => $x) {
            if (isset($this->ys[$k])) {
                $out[] = [$x * $scale, $this->ys[$k] * $scale, ($this->zs[$k] ?? $this->level) * $scale, $this->bulges[$k] ?? 0.0];
            }
        }

        return $this->closed && count($out) > 1 ? [...$out, $out[0]] : $out;
    }
}
