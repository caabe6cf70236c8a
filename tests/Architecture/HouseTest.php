<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The boundaries of the house, held by static analysis. */
final class HouseTest
{
    /** Core folders in order: each may use those before it. */
    private const FOLDERS = [
        'Measure',
        'Findings',
        'Geometry',
        'Track',
        'Land',
        'Cure',
        'Cuts',
        'Shelf',
        'Coats',
        'Schedule',
        'Water',
        'View',
        'Project',
        'Plan',
        'Rulebook',
        'Interchange',
    ];

    #[TestRule]
    public function core_knows_no_framework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('IdleRidge\Core'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('App'),
                Selector::inNamespace('Illuminate'),
                Selector::inNamespace('Database'),
                Selector::inNamespace('Symfony'),
            )
            ->because('the computation is pure PHP');
    }

    /** @return iterable<Rule> */
    #[TestRule]
    public function core_folders_look_upward_only(): iterable
    {
        foreach (self::FOLDERS as $k => $folder) {
            $later = array_slice(self::FOLDERS, $k + 1);
            if ($later !== []) {
                yield PHPat::rule()
                    ->classes(Selector::inNamespace('IdleRidge\Core\\'.$folder))
                    ->shouldNotDependOn()
                    ->classes(...array_map(fn (string $name) => Selector::inNamespace('IdleRidge\Core\\'.$name), $later))
                    ->because("{$folder} stands before ".implode(', ', $later));
            }
        }
    }

    #[TestRule]
    public function controllers_do_not_compute(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Http'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('IdleRidge\Core\Land'),
                Selector::inNamespace('IdleRidge\Core\Track'),
                Selector::inNamespace('IdleRidge\Core\Geometry'),
                Selector::inNamespace('IdleRidge\Core\Interchange'),
            )
            ->because('use cases in the workshop do');
    }

    #[TestRule]
    public function the_workshop_knows_no_web(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Workshop'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('App\Console'), Selector::inNamespace('Illuminate\Http'))
            ->because('web and command line share it');
    }
}
