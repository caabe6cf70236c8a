<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The server for a house: started, asked, provoked, and ended, from a copy of the tree with data of its own. */
final class ServeTest extends TestCase
{
    public function test_the_kept_server_answers_stands_what_ends_the_other_and_starts_again_what_ends(): void
    {
        $root = dirname(__DIR__, 2);
        $copy = sys_get_temp_dir().'/idle-ridge-serve-'.getmypid();
        foreach (['app', 'bin', 'bootstrap', 'config', 'core', 'database', 'library', 'public', 'resources', 'routes'] as $folder) {
            $this->sh("mkdir -p {$copy} && cp -a {$root}/{$folder} {$copy}/");
        }
        $this->sh(
            "cp -a {$root}/artisan {$root}/composer.json {$root}/package.json {$root}/package-lock.json {$root}/vite.config.js "
                ."{$root}/.env {$copy}/ && ln -s {$root}/vendor {$copy}/vendor && ln -s {$root}/node_modules {$copy}/node_modules",
        );
        $port = random_int(20_000, 60_000);
        $server = new Process(['setsid', 'bin/serve', "--port={$port}"], $copy, [
            'RIDGE_NOW' => false,
            'DB_DATABASE' => "{$copy}/storage/ridge.sqlite",
            'DB_QUEUE_DATABASE' => "{$copy}/storage/queue.sqlite",
            'CACHE_STORE' => 'file',
            'SESSION_DRIVER' => 'file',
            'APP_ENV' => 'production',
            'QUEUE_CONNECTION' => 'database',
            'COMPUTED_PATH' => "{$copy}/storage/computed",
        ]);
        $server->start();
        $group = (int) $server->getPid();
        try {
            $said = '';
            for ($k = 0; $k < 300 && ! str_contains($said, 'Idle Ridge is at') && $server->isRunning(); $k++) {
                usleep(100_000);
                $said = $server->getOutput();
            }
            $this->assertStringContainsString("Idle Ridge is at http://127.0.0.1:{$port}", $said.$server->getErrorOutput());
            $this->assertStringContainsString('Begin a layout', $this->get($port, '/'));
            $this->assertSame(
                'HTTP/1.1 413',
                substr($this->ask($port, "POST / HTTP/1.1\r\nHost: 127.0.0.1:{$port}\r\nContent-Length: 99999999999999\r\n\r\n"), 0, 12),
            );
            $this->assertSame('HTTP/1.1 400', substr($this->ask($port, "GARBAGE\r\n\r\n"), 0, 12));
            $this->assertStringContainsString('Begin a layout', $this->get($port, '/'), 'it still answers');
            $asset = preg_match('#/build/assets/[\w.-]+\.js#', $this->get($port, '/'), $m) === 1 ? $m[0] : '';
            $this->assertStringContainsString('immutable', implode("\n", get_headers("http://127.0.0.1:{$port}{$asset}") ?: []));

            $pid = (int) trim((string) shell_exec("pgrep -f 'php-fpm: master process .{$copy}' | head -1"));
            $this->assertGreaterThan(0, $pid);
            posix_kill($pid, SIGKILL);
            for ($k = 0; $k < 100 && ! str_contains($server->getErrorOutput(), 'php-fpm ended and is started again'); $k++) {
                usleep(100_000);
            }
            $this->assertStringContainsString('php-fpm ended and is started again', $server->getErrorOutput());
            for ($k = 0; $k < 50 && ! str_contains($page = $this->get($port, '/'), 'Begin a layout'); $k++) {
                usleep(100_000);
            }
            $this->assertStringContainsString('Begin a layout', $page ?? '');
        } finally {
            if ($group > 1) {
                posix_kill(-$group, SIGTERM);
            }
            $server->stop(5);
            $this->sh("rm -rf {$copy}");
        }
        $this->assertFalse(@fsockopen('127.0.0.1', $port), 'nothing of it is left');
    }

    public function test_it_prints_a_unit_for_systemd_and_refuses_odd_words(): void
    {
        $root = dirname(__DIR__, 2);
        $unit = new Process(['bin/serve', '--lan', '--port=8123', '--unit'], $root);
        $unit->mustRun();
        $this->assertStringContainsString("ExecStart={$root}/bin/serve --lan --port=8123\n", $unit->getOutput());
        foreach (['serve', 'demo'] as $command) {
            foreach (['--port=eighty', '--port=', '--lans'] as $odd) {
                $process = new Process(["bin/{$command}", $odd], $root);
                $this->assertSame(2, $process->run(), "{$command} {$odd}");
            }
        }
    }

    private function get(int $port, string $path): string
    {
        return (string) @file_get_contents(
            "http://127.0.0.1:{$port}{$path}",
            false,
            stream_context_create(['http' => ['timeout' => 20, 'ignore_errors' => true]]),
        );
    }

    private function ask(int $port, string $raw): string
    {
        $socket = stream_socket_client("tcp://127.0.0.1:{$port}");
        $this->assertIsResource($socket);
        fwrite($socket, $raw);

        return (string) fread($socket, 200);
    }

    private function sh(string $command): void
    {
        Process::fromShellCommandline($command)->mustRun();
    }
}
