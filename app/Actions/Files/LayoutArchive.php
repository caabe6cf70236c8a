<?php

declare(strict_types=1);

namespace App\Actions\Files;

use App\Actions\Journal\PictureIntake;
use App\Computed\Journal\Pictures;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Interchange\RidgeReader;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use ZipArchive;

/** A layout with its pictures as one zip, out and in again; all of it is checked before anything is taken. */
final readonly class LayoutArchive
{
    /** Of the zip, and of all that is in it unfolded. */
    public const MAX_BYTES = 250_000_000;

    public const MAX_UNFOLDED = 500_000_000;

    private const MAX_PICTURE_BYTES = 4_000_000;

    private const MAX_FILES = 4000;

    private const LAYOUT = 'layout.ridge.json';

    /** Every picture is named by its hash, and nothing else lies in it. */
    private const PICTURE = '/^pictures\/([0-9a-f]{64})\.jpg$/';

    public function __construct(
        private LayoutFiles $files,
        private Pictures $pictures,
        private PictureIntake $intake,
        private Library $library,
        private ProjectLoader $load,
    ) {
    }

    public static function isZip(string $file): bool
    {
        return (string) @file_get_contents($file, false, null, 0, 4) === "PK\x03\x04";
    }

    /** @return string the zip, in a file that is the caller's to take away */
    public function export(Layout $layout): string
    {
        $file = tempnam(sys_get_temp_dir(), 'ridge') ?: throw new RuntimeException('no room for an archive');
        $zip = new ZipArchive();
        if ($zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException('the archive cannot be begun');
        }
        $zip->addFromString(self::LAYOUT, $this->files->export($layout));
        // What was put away stays here for undo, and does not go along.
        $shown = array_map(fn (Photo $p): string => $p->hash, $this->load->complete($layout)->works->journal->photos);
        foreach (array_intersect($this->pictures->hashes($layout), $shown) as $hash) {
            $zip->addFromString("pictures/{$hash}.jpg", (string) $this->pictures->bytes($layout, $hash, 'large'));
            // They are pressed already.
            $zip->setCompressionName("pictures/{$hash}.jpg", ZipArchive::CM_STORE);
        }
        if (! $zip->close()) {
            throw new RuntimeException('the archive cannot be written');
        }

        return $file;
    }

    /**
     * A new layout from an archive: all of it or nothing.
     *
     * @throws InvalidValue when it holds what does not belong into one
     * @throws InvalidValues as a layout's file is refused
     */
    public function import(string $file): Layout
    {
        if ((int) filesize($file) > self::MAX_BYTES) {
            throw new InvalidValue('The archive is larger than 250 MB.', 'file');
        }
        $zip = new ZipArchive();
        if ($zip->open($file, ZipArchive::RDONLY) !== true) {
            throw new InvalidValue('The archive is broken.', 'file');
        }
        $aside = sys_get_temp_dir().'/ridge-'.bin2hex(random_bytes(8));
        mkdir($aside, 0700);
        try {
            $names = self::names($zip);
            $project = RidgeReader::read(self::read($zip, self::LAYOUT, LayoutFiles::MAX_BYTES), $this->library);
            $known = array_column($project->works->journal->photos, 'hash', 'hash');
            foreach ($names as $name => $hash) {
                if (! isset($known[$hash])) {
                    throw new InvalidValue("“{$name}” is a picture that the layout knows nothing of.", 'file');
                }
                // Laid aside: pictures are unfolded before the data is held, and not in memory.
                foreach ($this->smaller($zip, $name, $hash) as $size => $bytes) {
                    file_put_contents("{$aside}/{$hash}-{$size}", $bytes);
                }
            }

            return DB::transaction(function () use ($aside, $names, $project): Layout {
                $layout = $this->files->store($project);
                foreach ($names as $hash) {
                    foreach (array_keys(Photo::SIZES) as $size) {
                        $this->pictures->keep($layout, $hash, [$size => (string) file_get_contents("{$aside}/{$hash}-{$size}")]);
                    }
                }

                return $layout;
            });
        } finally {
            $zip->close();
            array_map(unlink(...), glob("{$aside}/*") ?: []);
            rmdir($aside);
        }
    }

    /**
     * @return array<string, string> name → hash, of every picture
     *
     * @throws InvalidValue by the list alone, before anything is unfolded
     */
    private static function names(ZipArchive $zip): array
    {
        if ($zip->numFiles > self::MAX_FILES) {
            throw new InvalidValue('There are more than '.self::MAX_FILES.' files in the archive.', 'file');
        }
        $names = [];
        $sum = 0;
        $whole = false;
        for ($k = 0; $k < $zip->numFiles; $k++) {
            $stat = $zip->statIndex($k) ?: throw new InvalidValue('The archive is broken.', 'file');
            $name = mb_scrub((string) $stat['name']);
            $isLayout = $name === self::LAYOUT;
            if (! $isLayout && preg_match(self::PICTURE, $name, $picture) !== 1) {
                throw new InvalidValue('“'.mb_substr($name, 0, 80).'” does not belong into a layout’s archive. Nothing was taken.', 'file');
            }
            $most = $isLayout ? LayoutFiles::MAX_BYTES : self::MAX_PICTURE_BYTES;
            if ($stat['size'] > $most) {
                throw new InvalidValue("“{$name}” unfolds to more than ".$most / 1_000_000 .' MB. Nothing was taken.', 'file');
            }
            $sum += $stat['size'];
            if ($isLayout) {
                $whole = true;
            } else {
                $names[$name] = $picture[1];
            }
        }
        if ($sum > self::MAX_UNFOLDED) {
            throw new InvalidValue('The archive unfolds to more than 500 MB. Nothing was taken.', 'file');
        }

        return $whole ? $names : throw new InvalidValue('There is no '.self::LAYOUT.' in the archive.', 'file');
    }

    /** @throws InvalidValue when more comes out than its list says */
    private static function read(ZipArchive $zip, string $name, int $most): string
    {
        $from = $zip->getStream($name);
        $bytes = $from === false ? false : stream_get_contents($from, $most + 1);
        if ($bytes === false || strlen($bytes) > $most) {
            throw new InvalidValue("“{$name}” cannot be read whole. Nothing was taken.", 'file');
        }

        return $bytes;
    }

    /**
     * The sizes of a picture, after it was looked at.
     *
     * @return array<string, string> size → JPEG
     *
     * @throws InvalidValue when it is not what its name says, or carries what a camera notes
     */
    private function smaller(ZipArchive $zip, string $name, string $hash): array
    {
        $bytes = self::read($zip, $name, self::MAX_PICTURE_BYTES);
        if (hash('sha256', $bytes) !== $hash) {
            throw new InvalidValue("“{$name}” is another picture than its name says. Nothing was taken.", 'file');
        }
        $shape = @getimagesizefromstring($bytes);
        $fits = $shape !== false && $shape[2] === IMAGETYPE_JPEG && max($shape[0], $shape[1]) <= Photo::SIZES['large'];
        if (! $fits || preg_match('/\xFF[\xE1-\xEF]..(Exif|http|ICC_|Photoshop)/s', substr($bytes, 0, 200_000)) === 1) {
            throw new InvalidValue("“{$name}” is no picture as it is kept here. Nothing was taken.", 'file');
        }
        $there = tempnam(sys_get_temp_dir(), 'ridge') ?: throw new RuntimeException('no room for a picture');
        try {
            file_put_contents($there, $bytes);

            return ['large' => $bytes] + $this->intake->take($there)['sizes'];
        } finally {
            unlink($there);
        }
    }
}
