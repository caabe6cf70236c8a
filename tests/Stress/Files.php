<?php

declare(strict_types=1);

namespace Tests\Stress;

use App\Actions\House\Backups;
use DateTimeZone;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Interchange\AirFile;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Interchange\CalendarFile;
use IdleRidge\Core\Interchange\RidgeReader;
use IdleRidge\Core\Interchange\TrackDxf;
use IdleRidge\Core\Interchange\TrackLine;
use IdleRidge\Core\Interchange\TrackSvg;
use IdleRidge\Core\Interchange\TrackTable;
use IdleRidge\Core\Interchange\TrackXml;
use IdleRidge\Core\Land\SurveyFit;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Track\FitBudget;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Throwable;

/** Files of every kind that comes in, broken in every way: each is read or refused, soon and in little room. */
final class Files
{
    public const MAX_SECONDS = 10.0;

    public const MAX_MB = 256;

    /** Words that stand for numbers nobody has. */
    private const ODD = [
        '1e400',
        '-1e308',
        'NaN',
        '0',
        '-0',
        '99999999999999999999',
        '1e-300',
        '""',
        'null',
        '[]',
        '{}',
        '9999',
        "\0",
        "\xFF",
        '</',
        ']]>',
        '&x;',
        '=1+1',
        '-99999-01-01',
        "\u{202E}",
    ];

    private readonly Randomizer $dice;

    public function __construct(private readonly Library $library, int $seed)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
    }

    /**
     * @param  array<string, string>  $whole name → a file that can be read
     * @return array{files: int, read: int, refused: int, crashed: int, slow: int, large: int, longest_s: float, most_mb: float,
     *     first: string}
     */
    public function mutated(array $whole, int $count): array
    {
        $out = [
            'files' => 0,
            'read' => 0,
            'refused' => 0,
            'crashed' => 0,
            'slow' => 0,
            'large' => 0,
            'longest_s' => 0.0,
            'most_mb' => 0.0,
            'first' => '',
        ];
        $names = array_keys($whole);
        for ($k = 0; $k < $count; $k++) {
            $name = $names[$k % count($names)];
            $text = $this->broken($whole[$name]);
            memory_reset_peak_usage();
            [$began, $held] = [microtime(true), memory_get_usage()];
            try {
                $this->read($name, $text);
                $out['read']++;
            } catch (InvalidValue|InvalidValues) {
                $out['refused']++;
            } catch (Throwable $crash) {
                $out['crashed']++;
                $out['first'] =
                    $out['first'] !== ''
                        ? $out['first']
                        : "{$name} {$k}: ".
                            $crash::class.
                            ': '.
                            mb_substr($crash->getMessage(), 0, 160).
                            ' '.
                            basename($crash->getFile()).
                            ':'.
                            $crash->getLine();
            }
            [$seconds, $mb] = [microtime(true) - $began, (memory_get_peak_usage() - $held) / 1e6];
            $out['files']++;
            $out['slow'] += $seconds > self::MAX_SECONDS ? 1 : 0;
            $out['large'] += $mb > self::MAX_MB ? 1 : 0;
            $out['longest_s'] = max($out['longest_s'], $seconds);
            $out['most_mb'] = max($out['most_mb'], $mb);
        }

        return $out;
    }

    private function read(string $name, string $text): void
    {
        $lines = match (pathinfo($name, PATHINFO_EXTENSION)) {
            'csv' => TrackTable::read($text),
            'dxf' => TrackDxf::read($text),
            'svg' => TrackSvg::read($text),
            'xml' => TrackXml::read($text),
            default => [],
        };
        foreach ($lines as $line) {
            /** @var TrackLine $line */
            $line->fitted('01ARZ3NDEKTSV4RRFFQ69G5FAV', fn (): float => 0.0, FitBudget::among(count($lines)));
        }
        match (pathinfo($name, PATHINFO_EXTENSION)) {
            'json' => RidgeReader::read($text, $this->library),
            'asc' => SurveyFit::of(AsciiGrid::read($text), 0.5, 100.0),
            'air' => AirFile::read($text, new DateTimeZone('Europe/Oslo')),
            'ics' => CalendarFile::busy($text, new DateTimeZone('Europe/Oslo'), 29_866_531, 60),
            'zip' => $this->copy($text),
            default => null,
        };
    }

    private function copy(string $text): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'copy');
        file_put_contents($file, $text);
        try {
            Backups::manifest($file) ?? throw new InvalidValue('no copy');
        } finally {
            unlink($file);
        }
    }

    /** One to four faults: bytes turned, pieces cut out, doubled, moved, numbers made odd, the end missing. */
    private function broken(string $text): string
    {
        for ($faults = $this->dice->getInt(1, 4); $faults > 0 && $text !== ''; $faults--) {
            $long = strlen($text);
            [$at, $some] = [$this->dice->getInt(0, $long - 1), $this->dice->getInt(1, min(400, $long))];
            $text = match ($this->dice->getInt(0, 6)) {
                0 => substr_replace($text, chr($this->dice->getInt(0, 255)), $at, 1),
                1 => substr_replace($text, '', $at, $some),
                2 => substr_replace($text, str_repeat(substr($text, $at, $some), $this->dice->getInt(2, 50)), $at, 0),
                3 => substr($text, 0, $at),
                4 => substr_replace($text, substr($text, $this->dice->getInt(0, $long - 1), $some), $at, $some),
                default => $this->odd($text, $at),
            };
        }

        return $text;
    }

    /** The next number after a place becomes another. */
    private function odd(string $text, int $at): string
    {
        $word =
            $this->dice->getInt(0, 2) === 0
                ? (string) $this->dice->getInt(-1_000_000_000, 1_000_000_000)
                : self::ODD[$this->dice->getInt(0, count(self::ODD) - 1)];

        return preg_match('/-?\d+(?:\.\d+)?/', $text, $m, PREG_OFFSET_CAPTURE, $at) === 1
            ? substr_replace($text, $word, (int) $m[0][1], strlen($m[0][0]))
            : substr_replace($text, $word, $at, 0);
    }
}
