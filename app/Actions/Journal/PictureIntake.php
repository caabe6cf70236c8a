<?php

declare(strict_types=1);

namespace App\Actions\Journal;

use GdImage;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Measure\InvalidValue;
use Intervention\Image\ImageManager;
use Intervention\Image\Interfaces\ImageInterface;
use RuntimeException;
use Throwable;

/**
 * Takes a picture as a phone or a file gives it: told by its bytes and not its name, its size read before it is unfolded, turned upright,
 * made smaller in three sizes, and written anew, so that nothing of what a camera notes beside it stays.
 */
final class PictureIntake
{
    public const MAX_BYTES = 20_000_000;

    /** Unfolded it takes four bytes a pixel. */
    public const MAX_PIXELS = 50_000_000;

    private const KINDS = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    private const QUALITY = 82;

    /**
     * @return array{hash: string, width: int, height: int, sizes: array<string, string>} of the largest; size → JPEG
     *
     * @throws InvalidValue
     */
    public function take(string $file): array
    {
        self::unlessFits($file);
        try {
            $image = self::smaller(ImageManager::gd(autoOrientation: false)->read($file), Photo::SIZES['large'])->orient();
            $image = $image->blendTransparency('ffffff');
            $sizes = [];
            foreach (array_reverse(Photo::SIZES) as $size => $edge) {
                $sizes[$size] = self::smaller($image, $edge)->toJpeg(self::QUALITY)->toString();
                $shape ??= [$image->width(), $image->height()];
            }
        } catch (Throwable) {
            throw new InvalidValue('The picture cannot be read: it is broken, or of a kind that is not known here.', 'picture');
        }

        return ['hash' => hash('sha256', $sizes['large']), 'width' => $shape[0], 'height' => $shape[1], 'sizes' => $sizes];
    }

    /** @throws InvalidValue before anything of it is unfolded */
    private static function unlessFits(string $file): void
    {
        $bytes = (int) @filesize($file);
        if ($bytes > self::MAX_BYTES) {
            throw new InvalidValue('The picture is larger than 20 MB. Send it smaller; nothing was taken.', 'picture');
        }
        $shape = $bytes === 0 ? false : @getimagesize($file);
        if ($shape === false || ! in_array($shape[2], self::KINDS, true)) {
            throw new InvalidValue('That is no picture; JPEG, PNG and WebP are taken, whatever the file is called.', 'picture');
        }
        if ($shape[0] < 1 || $shape[1] < 1 || $shape[0] * $shape[1] > self::MAX_PIXELS) {
            $most = self::MAX_PIXELS / 1_000_000;
            throw new InvalidValue("It says it is {$shape[0]} × {$shape[1]} pixels; at most {$most} million are taken.", 'picture');
        }
    }

    /**
     * Made smaller by no more than a half at a time, between whose points nothing is lost: as good as the mean of all points, in a
     * quarter of its time.
     */
    private static function smaller(ImageInterface $image, int $edge): ImageInterface
    {
        while (($long = max($image->width(), $image->height())) > $edge) {
            $to = max($edge, intdiv($long + 1, 2));
            $share = $to / $long;
            $size = [max(1, (int) round($share * $image->width())), max(1, (int) round($share * $image->height()))];
            $native = $image->core()->native();
            $scaled = $native instanceof GdImage ? imagescale($native, $size[0], $size[1], IMG_BILINEAR_FIXED) : false;
            $image->core()->setNative($scaled === false ? throw new RuntimeException('cannot be made smaller') : $scaled);
        }

        return $image;
    }
}
