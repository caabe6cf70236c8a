<?php

declare(strict_types=1);

namespace Tests;

use GdImage;
use RuntimeException;

/** Pictures made for tests: files in a folder of their own. */
final class Drawn
{
    /** @return string a JPEG of one colour with a white card at its upper left */
    public static function jpeg(int $width, int $height, string $hex, ?callable $more = null): string
    {
        $image = self::plain($width, $height, $hex);
        $card = (int) imagecolorallocate($image, 230, 230, 230);
        imagefilledrectangle($image, 0, 0, intdiv($width, 5), intdiv($height, 5), $card);
        if ($more !== null) {
            $more($image);
        }
        $file = self::file('jpg');
        imagejpeg($image, $file, 95);

        return $file;
    }

    /** The same as a phone sends it: with the way up, a place and a serial number noted beside it. */
    public static function phone(int $width, int $height, string $hex, int $turn = 6): string
    {
        $bytes = (string) file_get_contents(self::jpeg($width, $height, $hex));
        $serial = "SN-4711-0815\0";
        // TIFF, big-endian: orientation, the camera's serial number, a pointer to the place.
        $entries = [
            pack('nnNnn', 0x0112, 3, 1, $turn, 0),
            pack('nnNN', 0xA431, 2, strlen($serial), 8 + 2 + 3 * 12 + 4),
            pack('nnNN', 0x8825, 4, 1, 8 + 2 + 3 * 12 + 4 + strlen($serial)),
        ];
        $gps = pack('n', 1).pack('nnN', 0x0001, 2, 2)."N\0\0\0".pack('N', 0);
        $tiff = "MM\0*".pack('N', 8).pack('n', 3).implode('', $entries).pack('N', 0).$serial.$gps;
        $app1 = "Exif\0\0".$tiff;
        $file = self::file('jpg');
        file_put_contents($file, substr($bytes, 0, 2)."\xFF\xE1".pack('n', strlen($app1) + 2).$app1.substr($bytes, 2));

        return $file;
    }

    /** @return string a PNG that says it is so large, with nothing in it */
    public static function declared(int $width, int $height): string
    {
        $head = pack('NNCCCCC', $width, $height, 8, 2, 0, 0, 0);
        $file = self::file('png');
        $chunk = fn (string $kind, string $data): string => pack('N', strlen($data)).$kind.$data.pack('N', crc32($kind.$data));
        file_put_contents($file, "\x89PNG\r\n\x1a\n".$chunk('IHDR', $head).$chunk('IDAT', (string) gzcompress('')).$chunk('IEND', ''));

        return $file;
    }

    public static function file(string $ending): string
    {
        $file = tempnam(sys_get_temp_dir(), 'drawn') ?: throw new RuntimeException('no room');
        rename($file, "{$file}.{$ending}");
        register_shutdown_function(fn () => @unlink("{$file}.{$ending}"));

        return "{$file}.{$ending}";
    }

    private static function plain(int $width, int $height, string $hex): GdImage
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height)) ?: throw new RuntimeException('no picture');
        [$r, $g, $b] = array_map(fn (int $at): int => (int) hexdec(substr($hex, $at, 2)), [1, 3, 5]);
        imagefill($image, 0, 0, (int) imagecolorallocate($image, max(0, min(255, $r)), max(0, min(255, $g)), max(0, min(255, $b))));

        return $image;
    }
}
