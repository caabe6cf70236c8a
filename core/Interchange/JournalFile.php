<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Journal\CheckAnswer;
use IdleRidge\Core\Journal\CheckResult;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Journal\Mishap;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Journal\PhotoPin;
use IdleRidge\Core\Journal\Stall;
use IdleRidge\Core\Journal\Trial;
use IdleRidge\Core\Journal\Verdict;
use IdleRidge\Core\Journal\WorkRecord;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\HiddenKind;
use IdleRidge\Core\Project\HiddenThing;

/** The journal as it stands in a layout's file: entries, pictures, checks, mishaps and trials; and what lies hidden under the land. */
final class JournalFile
{
    public static function entry(Record $r, string $uid): JournalEntry
    {
        return new JournalEntry(
            $uid,
            WorksFile::moment($r, 'at'),
            InvalidValue::unlessOneOf(JournalKind::class, $r->text('kind'), 'kind'),
            $r->text('section'),
            self::textOrNull($r, 'laid'),
            $r->text('sentence'),
            $r->numberOrNull('air_c'),
            $r->numberOrNull('air_rh'),
            self::amounts($r),
            work: $r->has('work') ? self::work($r->record('work')) : null,
            about: self::textOrNull($r, 'about'),
            who: self::textOrNull($r, 'who'),
            verdict: self::verdict($r),
            place: $r->has('place') ? self::along($r->record('place')) : null,
            extra: $r->extra(),
        );
    }

    /** @return list<array{material: string, amount: float, unit: string}> */
    private static function amounts(Record $r): array
    {
        return array_map(function (Record $a): array {
            $one = ['material' => $a->text('material'), 'amount' => $a->number('amount'), 'unit' => $a->text('unit')];
            $a->close();

            return $one;
        }, $r->records('amounts'));
    }

    private static function work(Record $r): WorkRecord
    {
        $colour = null;
        if ($r->has('colour')) {
            $c = $r->record('colour');
            $colour = ['name' => $c->text('name'), 'hex' => $c->text('hex'), 'mix' => $c->text('mix')];
            $c->close();
        }
        $whole = fn (string $key): ?int => $r->has($key) ? (int) $r->number($key) : null;
        $work = new WorkRecord(
            $r->text('zone'),
            $r->text('zone_name'),
            $r->text('coat'),
            $r->text('title'),
            $r->text('recipe'),
            $r->number('area_mm2'),
            $whole('minutes'),
            $whole('estimate_min'),
            $r->words('lots'),
            $r->words('pots'),
            $colour,
        );
        $r->close();

        return $work;
    }

    /** @return array{run: string, station: float, vehicle: string} */
    private static function along(Record $r): array
    {
        $place = ['run' => $r->text('run'), 'station' => $r->number('station_mm'), 'vehicle' => $r->text('vehicle')];
        $r->close();

        return $place;
    }

    public static function photo(Record $r, string $uid): Photo
    {
        $spot = function (string $key) use ($r): ?array {
            if (! $r->has($key)) {
                return null;
            }
            $s = $r->record($key);
            $spot = ['x' => $s->number('x'), 'y' => $s->number('y'), 'hex' => $s->text('hex')];
            $s->close();

            return $spot;
        };
        $place = null;
        if ($r->has('place')) {
            $p = $r->record('place');
            $place = ['x' => $p->number('x_mm'), 'y' => $p->number('y_mm'), 'heading' => $p->number('heading_deg')];
            $p->close();
        }

        return new Photo(
            $uid,
            WorksFile::moment($r, 'at'),
            $r->text('section'),
            $r->text('hash'),
            (int) $r->number('width_px'),
            (int) $r->number('height_px'),
            $r->text('caption', ''),
            self::textOrNull($r, 'entry'),
            self::textOrNull($r, 'zone'),
            $place,
            $r->has('pin') ? InvalidValue::unlessOneOf(PhotoPin::class, $r->text('pin'), 'pin') : null,
            $spot('patch'),
            $spot('white'),
            $r->extra(),
        );
    }

    public static function check(Record $r, string $uid): CheckResult
    {
        return new CheckResult(
            $uid,
            WorksFile::moment($r, 'at'),
            $r->text('key'),
            $r->text('section'),
            InvalidValue::unlessOneOf(CheckAnswer::class, $r->text('answer'), 'answer'),
            $r->text('asks'),
            $r->text('note', ''),
            (int) $r->number('minutes', 0.0),
            $r->words('holds'),
            $r->extra(),
        );
    }

    public static function stall(Record $r, string $uid): Stall
    {
        return new Stall(
            $uid,
            WorksFile::moment($r, 'at'),
            $r->text('run'),
            $r->number('station_mm'),
            $r->text('vehicle', ''),
            InvalidValue::unlessOneOf(Mishap::class, $r->text('what'), 'what'),
            $r->has('cleaned') && $r->flag('cleaned'),
            (int) $r->number('pass'),
            $r->extra(),
        );
    }

    public static function trial(Record $r, string $uid): Trial
    {
        $amounts = array_map(function (Record $a): array {
            $one =
                ['material' => $a->text('material'), 'unit' => $a->text('unit')] +
                ['said' => $a->number('said'), 'used' => $a->number('used')];
            $a->close();

            return $one;
        }, $r->records('amounts'));

        return new Trial(
            $uid,
            WorksFile::moment($r, 'at'),
            $r->text('name'),
            $r->text('recipe'),
            $r->text('title'),
            $r->number('area_mm2'),
            $r->number('mm'),
            $amounts,
            $r->number('said_min'),
            $r->numberOrNull('said_dry_min'),
            $r->numberOrNull('took_min'),
            $r->numberOrNull('dry_min'),
            self::verdict($r),
            $r->text('note', ''),
            $r->extra(),
        );
    }

    public static function hidden(Record $r, string $uid): HiddenThing
    {
        $points = array_map(function (Record $p): array {
            $point = [$p->number('x_mm'), $p->number('y_mm')];
            $p->close();

            return $point;
        }, $r->records('points'));

        return new HiddenThing(
            $uid,
            $r->text('section'),
            InvalidValue::unlessOneOf(HiddenKind::class, $r->text('kind'), 'kind'),
            $points,
            $r->number('bottom_mm'),
            $r->number('top_mm'),
            $r->number('wide_mm'),
            $r->text('name', ''),
            $r->extra(),
        );
    }

    private static function verdict(Record $r): ?Verdict
    {
        return $r->has('verdict') ? InvalidValue::unlessOneOf(Verdict::class, $r->text('verdict'), 'verdict') : null;
    }

    private static function textOrNull(Record $r, string $key): ?string
    {
        return $r->has($key) ? $r->text($key) : null;
    }

    /** @return array<string, mixed> */
    public static function fromEntry(JournalEntry $e): array
    {
        return [
            'uid' => $e->uid,
            'at' => WorksFile::iso($e->at),
            'kind' => $e->kind->value,
            'section' => $e->section,
            'sentence' => $e->sentence,
            'amounts' => $e->amounts,
        ] + self::known([
            'laid' => $e->laid,
            'air_c' => $e->temperature,
            'air_rh' => $e->humidity,
            'work' => $e->work === null ? null : self::fromWork($e->work),
            'about' => $e->about,
            'who' => $e->who,
            'verdict' => $e->verdict?->value,
            'place' => $e->place === null
                ? null
                : ['run' => $e->place['run'], 'station_mm' => $e->place['station'], 'vehicle' => $e->place['vehicle']],
        ]) + $e->extra;
    }

    /** @return array<string, mixed> */
    private static function fromWork(WorkRecord $w): array
    {
        return [
            'zone' => $w->zone,
            'zone_name' => $w->zoneName,
            'coat' => $w->coat,
            'title' => $w->title,
            'recipe' => $w->recipe,
            'area_mm2' => $w->area,
            'lots' => $w->lots,
            'pots' => $w->pots,
        ] + self::known([
            'minutes' => $w->minutes,
            'estimate_min' => $w->estimate,
            'colour' => $w->colour,
        ]);
    }

    /** @return array<string, mixed> */
    public static function fromPhoto(Photo $p): array
    {
        return [
            'uid' => $p->uid,
            'at' => WorksFile::iso($p->at),
            'section' => $p->section,
            'hash' => $p->hash,
            'width_px' => $p->width,
            'height_px' => $p->height,
            'caption' => $p->caption,
        ] + self::known([
            'entry' => $p->entry,
            'zone' => $p->zone,
            'place' => $p->place === null
                ? null
                : ['x_mm' => $p->place['x'], 'y_mm' => $p->place['y'], 'heading_deg' => $p->place['heading']],
            'pin' => $p->pin?->value,
            'patch' => $p->patch,
            'white' => $p->white,
        ]) + $p->extra;
    }

    /** @return array<string, mixed> */
    public static function fromCheck(CheckResult $c): array
    {
        return [
            'uid' => $c->uid,
            'at' => WorksFile::iso($c->at),
            'key' => $c->key,
            'section' => $c->section,
            'answer' => $c->answer->value,
            'asks' => $c->asks,
            'note' => $c->note,
            'minutes' => $c->minutes,
            'holds' => $c->holds,
        ] + $c->extra;
    }

    /** @return array<string, mixed> */
    public static function fromStall(Stall $s): array
    {
        return [
            'uid' => $s->uid,
            'at' => WorksFile::iso($s->at),
            'run' => $s->run,
            'station_mm' => $s->station,
            'vehicle' => $s->vehicle,
            'what' => $s->what->value,
            'cleaned' => $s->cleaned,
            'pass' => $s->pass,
        ] + $s->extra;
    }

    /** @return array<string, mixed> */
    public static function fromTrial(Trial $t): array
    {
        return [
            'uid' => $t->uid,
            'at' => WorksFile::iso($t->at),
            'name' => $t->name,
            'recipe' => $t->recipe,
            'title' => $t->title,
            'area_mm2' => $t->area,
            'mm' => $t->mm,
            'amounts' => $t->amounts,
            'said_min' => $t->said,
            'note' => $t->note,
        ] + self::known(
            ['said_dry_min' => $t->saidDry, 'took_min' => $t->minutes, 'dry_min' => $t->dry, 'verdict' => $t->verdict?->value],
        ) + $t->extra;
    }

    /** @return array<string, mixed> */
    public static function fromHidden(HiddenThing $h): array
    {
        return [
            'uid' => $h->uid,
            'section' => $h->section,
            'kind' => $h->kind->value,
            'points' => array_map(fn (array $p): array => ['x_mm' => $p[0], 'y_mm' => $p[1]], $h->points),
            'bottom_mm' => $h->bottom,
            'top_mm' => $h->top,
            'wide_mm' => $h->wide,
            'name' => $h->name,
        ] + $h->extra;
    }

    /**
     * @param  array<string, mixed>  $values
     * @return array<string, mixed> those that there are
     */
    private static function known(array $values): array
    {
        return array_filter($values, fn (mixed $v): bool => $v !== null);
    }
}
