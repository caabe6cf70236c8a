<?php

declare(strict_types=1);

namespace App\Computed\Journal;

use App\Models\Layout;
use GdImage;
use IdleRidge\Core\Coats\Pigment;
use IdleRidge\Core\Journal\Photo;
use Illuminate\Support\Facades\DB;

/** The bytes of a layout's pictures, beside its other data: they are never changed, so that a hash is always the same picture. */
final class Pictures
{
    /** A touched spot is so wide, as a share of the picture's larger edge. */
    private const SPOT = 0.012;

    /** @return string|null JPEG; null where a file came without its pictures */
    public function bytes(Layout $layout, string $hash, string $size): ?string
    {
        $found = DB::table('pictures')
            ->where(['layout_id' => $layout->id, 'hash' => $hash, 'size' => $size])
            ->value('bytes');

        return is_string($found) ? $found : null;
    }

    /** @param  array<string, string>  $sizes size → JPEG */
    public function keep(Layout $layout, string $hash, array $sizes): void
    {
        foreach ($sizes as $size => $bytes) {
            DB::statement('insert or ignore into pictures (layout_id, hash, size, bytes) values (?, ?, ?, cast(? as blob))', [
                $layout->id,
                $hash,
                $size,
                $bytes,
            ]);
        }
    }

    /** @return list<string> hashes whose bytes are here */
    public function hashes(Layout $layout): array
    {
        return array_values(DB::table('pictures')->where(['layout_id' => $layout->id, 'size' => 'large'])->pluck('hash')->all());
    }

    /**
     * What a touched spot shows, its light added up.
     *
     * @param  float  $x share of the width; $y of the height
     */
    public function spot(Layout $layout, Photo $photo, float $x, float $y): ?Pigment
    {
        $bytes = $this->bytes($layout, $photo->hash, 'large');
        $image = $bytes === null ? false : @imagecreatefromstring($bytes);
        if (! $image instanceof GdImage) {
            return null;
        }
        [$width, $height] = [imagesx($image), imagesy($image)];
        $reach = max(1, (int) round((self::SPOT * max($width, $height)) / 2.0));
        [$atX, $atY] = [(int) round($x * ($width - 1)), (int) round($y * ($height - 1))];
        $points = [];
        for ($i = max(0, $atX - $reach); $i <= min($width - 1, $atX + $reach); $i++) {
            for ($j = max(0, $atY - $reach); $j <= min($height - 1, $atY + $reach); $j++) {
                $rgb = (int) imagecolorat($image, $i, $j);
                $points[] = [($rgb >> 16) & 255, ($rgb >> 8) & 255, $rgb & 255];
            }
        }

        return Pigment::mean($points === [] ? [[0, 0, 0]] : $points);
    }
}
