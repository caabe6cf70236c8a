<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Database\ImmediatePdo;
use PDO;
use PDOException;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Transactions that take the right to write when they begin: several processes on one file. */
final class TurnsTest extends TestCase
{
    private string $file;

    protected function setUp(): void
    {
        $this->file = (string) tempnam(sys_get_temp_dir(), 'turns');
        $this->open()->exec('create table counts (n integer); insert into counts values (0)');
    }

    protected function tearDown(): void
    {
        foreach (glob("{$this->file}*") ?: [] as $file) {
            unlink($file);
        }
    }

    public function test_what_was_read_within_is_still_so_when_it_is_written(): void
    {
        $writers = array_map(fn (int $k): Process => $this->writer(60), range(1, 6));
        foreach ($writers as $writer) {
            $writer->wait();
            $this->assertSame('', $writer->getErrorOutput());
        }
        $this->assertSame(360, (int) $this->open()->query('select n from counts')->fetchColumn(), 'none counted over another');
    }

    public function test_readers_see_one_moment_and_hold_up_nobody(): void
    {
        $reader = $this->open();
        [$first, $second] = $reader->asOfNow(function () use ($reader): array {
            $first = (int) $reader->query('select n from counts')->fetchColumn();
            $this->assertSame(0, $this->writer(5)->wait());

            return [$first, (int) $reader->query('select n from counts')->fetchColumn()];
        });
        $this->assertSame([0, 0, 5], [$first, $second, (int) $reader->query('select n from counts')->fetchColumn()]);
        $this->assertFalse($reader->inTransaction());
    }

    public function test_a_turn_is_given_back_whatever_became_of_it(): void
    {
        $one = $this->open();
        $one->beginTransaction();
        $one->exec('update counts set n = 7');
        $one->rollBack();
        $one->rollBack();
        $one->beginTransaction();
        $one->commit();
        $one->exec('BEGIN');
        try {
            $one->beginTransaction();
            $this->fail('one within another');
        } catch (PDOException) {
            $one->exec('ROLLBACK');
        }
        $this->assertSame(0, $this->writer(1)->wait());
        $this->assertSame(1, (int) $one->query('select n from counts')->fetchColumn());
        // Who is killed while it writes leaves its turn to the next.
        $killed = $this->writer(1_000_000);
        while ((int) $one->query('select n from counts')->fetchColumn() < 5) {
            usleep(1000);
        }
        $killed->stop(0, SIGKILL);
        $this->assertSame(0, $this->writer(1)->wait());
        $this->assertSame('ok', $one->query('pragma integrity_check')->fetchColumn());
    }

    private function open(): ImmediatePdo
    {
        $data = new ImmediatePdo("sqlite:{$this->file}", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $data->exec('pragma busy_timeout = 30000; pragma journal_mode = wal');

        return $data;
    }

    /** Reads the count and writes it one higher, again and again, each in a transaction. */
    private function writer(int $times): Process
    {
        $writer = new Process([
            PHP_BINARY,
            '-r',
            'require $argv[1];
            $d = new App\Database\ImmediatePdo("sqlite:{$argv[2]}", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
            $d->exec("pragma busy_timeout = 30000");
            for ($k = 0; $k < (int) $argv[3]; $k++) {
                $d->beginTransaction();
                $n = (int) $d->query("select n from counts")->fetchColumn();
                usleep(200);
                $d->exec("update counts set n = ".($n + 1));
                $d->commit();
            }',
            dirname(__DIR__, 2).'/app/Database/ImmediatePdo.php',
            $this->file,
            (string) $times,
        ]);
        $writer->start();

        return $writer;
    }
}
