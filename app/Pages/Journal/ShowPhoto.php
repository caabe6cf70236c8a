<?php

declare(strict_types=1);

namespace App\Pages\Journal;

use App\Computed\Journal\JournalRows;
use App\Computed\Journal\Pictures;
use App\Computed\Land\ComputedLand;
use App\Computed\Library\LibraryFiles;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Photo as PhotoRow;
use IdleRidge\Core\Coats\Colour;
use IdleRidge\Core\Coats\NearestMixes;
use IdleRidge\Core\Coats\Pigment;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Journal\WhiteCard;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Project\Project;

/** One picture: where it was taken, what colour a touched spot has and what mixes to it, and another beside it. */
final readonly class ShowPhoto
{
    private const MAX_OTHERS = 40;

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ComputedLand $land,
        private Pictures $pictures,
    ) {
    }

    /** @return array<string, mixed> for the view journal.photo */
    public function of(Layout $layout, PhotoRow $row, string $with): array
    {
        $project = $this->load->of($layout);
        $words = EntryWords::in($project, $this->desk->minute());
        $photo = JournalRows::photo($row);
        $others = $this->others($layout, $photo, $words);
        $other = $others[$with]['photo'] ?? null;
        $section = array_column($project->sections, null, 'uid')[$photo->section] ?? null;

        return [
            'layout' => $layout,
            'photo' => $photo,
            'day' => $words->day($photo),
            'here' => in_array($photo->hash, $this->pictures->hashes($layout), true),
            'section' => $section,
            'zones' => ['' => 'no zone in particular'] +
                array_map(fn ($zone): string => $zone->name, $project->works->zonesOf($photo->section)),
            'plan' => $section === null ? null : PhotoPlan::of($section, $project, $this->land->thumb($project, $section), $photo),
            'colour' => $this->colour($project, $photo),
            'others' => array_map(fn (array $one): string => $one['words'], $others),
            'other' => $other,
            'otherDay' => $other === null ? '' : $words->day($other),
            'apart' => $other === null ? null : self::apart($photo, $other),
        ];
    }

    /** @return array<string, array{photo: Photo, words: string}> uid → other pictures, of the same board first, newest first */
    private function others(Layout $layout, Photo $photo, EntryWords $words): array
    {
        $out = [];
        $rows = $layout->photos()->here()->where('uid', '<>', $photo->uid)->get()->map(JournalRows::photo(...))->all();
        $rank = fn (Photo $one): array => [$one->section === $photo->section, $one->at];
        usort($rows, fn (Photo $a, Photo $b): int => $rank($b) <=> $rank($a));
        foreach (array_slice($rows, 0, self::MAX_OTHERS) as $one) {
            $out[$one->uid] = ['photo' => $one, 'words' => $words->day($one).($one->caption === '' ? '' : ": {$one->caption}")];
        }

        return $out;
    }

    public static function seen(Photo $photo): ?Pigment
    {
        if ($photo->patch === null) {
            return null;
        }
        $seen = Pigment::hex($photo->patch['hex']);

        return $photo->white === null ? $seen : WhiteCard::hex($photo->white['hex'])->balance($seen);
    }

    /** @return array{apart: string, seen: string}|null of the touched spots of two pictures */
    public static function apart(Photo $one, Photo $other): ?array
    {
        [$a, $b] = [self::seen($one), self::seen($other)];
        if ($a === null || $b === null) {
            return null;
        }
        $apart = $a->apart($b);

        return ['apart' => Decimal::fixed($apart, 1), 'seen' => self::told($apart)];
    }

    public static function told(float $apart): string
    {
        return match (true) {
            $apart < 1.0 => 'nobody sees a difference',
            $apart < 3.0 => 'seen only side by side',
            $apart < 6.0 => 'seen side by side',
            default => 'seen at a glance',
        };
    }

    /** @return array<string, mixed>|null */
    private function colour(Project $project, Photo $photo): ?array
    {
        $seen = self::seen($photo);
        if ($seen === null) {
            return null;
        }
        $bases = LibraryFiles::basePaints();
        $palette = array_map(
            fn (Colour $c): array => ['name' => $c->name, 'dry' => $c->wet($bases)->dry(), 'words' => $c->words(), 'uid' => $c->uid],
            $project->works->colours,
        );
        $palette = array_map(fn (array $p): array => $p + ['apart' => $seen->apart($p['dry'])], $palette);
        usort($palette, fn (array $a, array $b): int => $a['apart'] <=> $b['apart']);
        [$l, $a, $b] = $seen->lab();

        return [
            'hex' => $seen->toHex(),
            'balanced' => $photo->white !== null,
            'lab' => Decimal::fixed($l, 1).', '.Decimal::fixed($a, 1).', '.Decimal::fixed($b, 1),
            'mixes' => array_map(fn (array $m): array => [
                'hex' => $m['dry']->toHex(),
                'parts' => implode(', ', array_map(fn (array $p): string => Decimal::trimmed($p['parts'], 0)." {$p['base']}", $m['mix'])),
                'mix' => $m['mix'],
                'apart' => Decimal::fixed($m['apart'], 1),
                'told' => self::told($m['apart']),
            ], NearestMixes::of($seen, $bases)),
            'palette' => array_map(fn (array $p): array => [
                'name' => $p['name'],
                'hex' => $p['dry']->toHex(),
                'apart' => Decimal::fixed($p['apart'], 1),
                'told' => self::told($p['apart']),
            ], array_slice($palette, 0, 3)),
        ];
    }
}
