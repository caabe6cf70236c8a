<?php

declare(strict_types=1);

namespace Tests\Stress;

use PDO;
use RuntimeException;

/** The application on a port and data of its own, to be asked hard, killed and begun again. */
final class Target
{
    private int $port = 0;

    /** @var resource|null */
    private $process;

    public function __construct(private readonly string $folder)
    {
        @mkdir($folder, 0777, true);
        array_map(unlink(...), glob("{$folder}/*.sqlite*") ?: []);
        touch($this->database());
        touch("{$folder}/queue.sqlite");
        $this->artisan('migrate', '--force', '--quiet');
        $this->artisan('db:seed', '--force', '--quiet');
        register_shutdown_function($this->kill(...));
    }

    public function database(): string
    {
        return "{$this->folder}/ridge.sqlite";
    }

    public function data(): PDO
    {
        return new PDO(
            "sqlite:{$this->database()}",
            options: [
                PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION,
                PDO::ATTR_DEFAULT_FETCH_MODE => PDO::FETCH_ASSOC,
                PDO::ATTR_TIMEOUT => 30,
            ],
        );
    }

    public function address(): string
    {
        return "http://127.0.0.1:{$this->port}";
    }

    public function start(int $workers = 4): void
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No port is free.');
        $this->port = (int) substr((string) stream_socket_get_name($socket, false), 10);
        fclose($socket);
        $log = "{$this->folder}/server.log";
        $process = proc_open(
            [
                'setsid',
                self::root().'/bin/php',
                '-d',
                'max_execution_time=60',
                '-S',
                "127.0.0.1:{$this->port}",
                '-t',
                'public',
                'public/server.php',
            ],
            [['file', '/dev/null', 'r'], ['file', $log, 'a'], ['file', $log, 'a']],
            $pipes,
            self::root(),
            ['PHP_CLI_SERVER_WORKERS' => (string) $workers] + $this->environment(),
        );
        $this->process = $process === false ? throw new RuntimeException('The server does not start.') : $process;
        for ($k = 0; $k < 200; $k++) {
            $open = @fsockopen('127.0.0.1', $this->port);
            if ($open !== false) {
                fclose($open);

                return;
            }
            usleep(20_000);
        }
        throw new RuntimeException('The server does not answer.');
    }

    /** As when the plug is pulled: nothing of it gets to say goodbye. */
    public function kill(): void
    {
        if ($this->process !== null) {
            posix_kill(-proc_get_status($this->process)['pid'], SIGKILL);
            proc_close($this->process);
            $this->process = null;
        }
    }

    private function artisan(string ...$words): void
    {
        $process = proc_open(
            [self::root().'/bin/php', 'artisan', ...$words],
            [['file', '/dev/null', 'r']],
            $pipes,
            self::root(),
            $this->environment(),
        );
        if ($process === false || proc_close($process) !== 0) {
            throw new RuntimeException("artisan {$words[0]} failed.");
        }
    }

    /** @return array<string, string> */
    private function environment(): array
    {
        return [
            'APP_ENV' => 'production',
            'APP_KEY' => 'base64:AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA=',
            'DB_DATABASE' => $this->database(),
            'DB_QUEUE_DATABASE' => "{$this->folder}/queue.sqlite",
            'CACHE_STORE' => 'file',
            'SESSION_DRIVER' => 'file',
            'COMPUTED_PATH' => "{$this->folder}/computed",
            'RIDGE_NOW' => '2026-10-14T17:10:00Z',
            'RIDGE_BACKUPS' => "{$this->folder}/backups",
        ] + getenv();
    }

    private static function root(): string
    {
        return dirname(__DIR__, 2);
    }
}
