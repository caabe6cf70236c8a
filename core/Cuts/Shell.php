<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use Closure;
use IdleRidge\Core\Geometry\HeightMesh;

/** The land as a shell: profile boards across the board, strips woven between them, cloth or towels in plaster over all. mm. */
final readonly class Shell
{
    /** What a strip needs more at each rib to be fastened, mm. */
    private const FASTENING_LENGTH_MM = 20.0;

    /**
     * @param  list<Rib>  $ribs from the left
     * @param  float  $surface of the shell, mm²
     * @param  float  $strips length of all strips
     * @param  list<array{from: float, to: float, surface: float, pieces: float}>  $bays between ribs; of the pieces of one layer so many
     */
    private function __construct(
        public CutSchool $school,
        public ShellBuild $build,
        public array $ribs,
        public float $surface,
        public float $strips,
        public int $stripCount,
        public array $bays,
    ) {
    }

    /**
     * @param  HeightMesh  $shape the land less the shell's thickness, which ribs and web carry
     * @param  float  $base the board's top
     * @param  list<TunnelBore>  $bores
     * @param  HeightMesh|null  $land on which the cover lies; the shape where it is not told
     * @param  (Closure(float, float): float)|null  $exact height of the shape at any place
     */
    public static function over(
        HeightMesh $shape,
        float $base,
        CutSchool $school,
        ShellBuild $build,
        array $bores = [],
        ?HeightMesh $land = null,
        ?Closure $exact = null,
    ): self {
        [$width, $depth] = [$shape->xs[count($shape->xs) - 1], $shape->ys[count($shape->ys) - 1]];
        $count = max(1, (int) ceil($width / $build->ribGap - 1e-9));
        $ribs = $bays = [];
        for ($k = 0; $k <= $count; $k++) {
            $ribs[] = Rib::at('R'.($k + 1), ($width * $k) / $count, $shape, $base, $bores, $exact);
        }
        [$strips, $stripCount] = self::strips($shape, $build, $width, $depth, $count);
        foreach (array_slice($ribs, 1) as $k => $rib) {
            $bays[] = ['from' => $ribs[$k]->x, 'to' => $rib->x, 'surface' => self::surface($land ?? $shape, $ribs[$k]->x, $rib->x)];
        }
        $surface = array_sum(array_column($bays, 'surface'));
        $pieces = $build->pieces($surface);

        return new self(
            $school,
            $build,
            $ribs,
            $surface,
            $strips,
            $stripCount,
            array_map(fn (array $bay): array => $bay + ['pieces' => ($pieces * $bay['surface']) / max(1e-9, $surface)], $bays),
        );
    }

    /** Pieces of cloth of all layers. */
    public function pieces(): int
    {
        return $this->build->layers * $this->build->pieces($this->surface);
    }

    /** Area of cloth or towel in whole pieces with what overlaps, all layers, mm². */
    public function cover(): float
    {
        return $this->build->layers * $this->build->cloth($this->surface);
    }

    /** kg of the dry cover, and of it wet. */
    public function weight(bool $wet = false): float
    {
        $each = $this->school === CutSchool::Towel ? Densities::PLASTER_TOWEL_KG_PER_M2 : Densities::PLASTER_CLOTH_KG_PER_M2;
        // A towel's plaster counts by what is covered, cloth by what is used up.
        $area = $this->school === CutSchool::Towel ? $this->build->layers * $this->surface : $this->cover();

        $cover = $each * $area * ($wet ? Densities::WET_OVER_DRY : 1.0);

        return ($cover + Densities::CARD_WEB_KG_PER_M2 * $this->build->density() * $this->surface) / 1e6;
    }

    /** Minutes of work: ribs, web, cover. */
    public function minutes(): float
    {
        return $this->formMinutes() + (FormingMinutes::PER_COVER_DM2 * $this->build->layers * $this->surface) / 1e4;
    }

    /** Minutes until the cover can go on: ribs and web. */
    public function formMinutes(): float
    {
        $outline = array_sum(array_map(fn (Rib $r): float => $r->outline(), $this->ribs));

        return FormingMinutes::PER_RIB * count($this->ribs) +
            (FormingMinutes::PER_RIB_OUTLINE_DM * $outline) / 100.0 +
            (FormingMinutes::PER_STRIP_METRE * $this->strips) / 1000.0;
    }

    /** Area of board the ribs take, mm². */
    public function ribArea(): float
    {
        return array_sum(array_map(fn (Rib $r): float => $r->area(), $this->ribs));
    }

    /** @return array{float, int} length of all strips along both ways of the web, and how many */
    private static function strips(HeightMesh $shape, ShellBuild $build, float $width, float $depth, int $bays): array
    {
        $length = 0.0;
        $count = 0;
        foreach (
            [
                [$depth, $width, fn (float $s, float $t): float => $shape->at($t, $s), self::FASTENING_LENGTH_MM * ($bays + 1)],
                [$width, $depth, fn (float $s, float $t): float => $shape->at($s, $t), 2.0 * self::FASTENING_LENGTH_MM],
            ] as [$across, $along, $z, $more]
        ) {
            $rows = max(1, (int) floor($across / $build->stripGap));
            for ($k = 0; $k < $rows; $k++) {
                $s = ($across * ($k + 0.5)) / $rows;
                $n = max(1, (int) ceil($along / 10.0));
                $last = $z($s, 0.0);
                for ($i = 1; $i <= $n; $i++) {
                    $now = $z($s, ($along * $i) / $n);
                    $length += hypot($along / $n, $now - $last);
                    $last = $now;
                }
                $length += $more;
                $count++;
            }
        }

        return [$length, $count];
    }

    /** True area of the shell between two lines across the board. */
    private static function surface(HeightMesh $shape, float $from, float $to): float
    {
        $n = count($shape->xs);
        $sum = 0.0;
        for ($i = 0; $i < $n - 1; $i++) {
            $share = (min($to, $shape->xs[$i + 1]) - max($from, $shape->xs[$i])) / ($shape->xs[$i + 1] - $shape->xs[$i]);
            for ($j = 0; $share > 0.0 && $j < count($shape->ys) - 1; $j++) {
                $p = $j * $n + $i;
                $sum +=
                    $share *
                    HeightMesh::cellSurface(
                        $shape->xs[$i + 1] - $shape->xs[$i],
                        $shape->ys[$j + 1] - $shape->ys[$j],
                        $shape->z[$p],
                        $shape->z[$p + 1],
                        $shape->z[$p + $n],
                        $shape->z[$p + $n + 1],
                    );
            }
        }

        return $sum;
    }
}
