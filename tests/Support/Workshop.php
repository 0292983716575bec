<?php

namespace Tests\Support;

use App\Bridge\StickBridge;
use App\Devices\Build\BuildFailure;
use App\Devices\Build\BuildProgress;
use App\Devices\Build\BuildResult;
use App\Devices\Build\SourceFiles;
use App\Devices\Build\StickBuilder;
use App\Devices\Command;
use App\Devices\Inspection\Inspection;
use App\Devices\Stick\FileStick;
use App\Devices\Stick\StickDevice;
use Cobblestone\Media\Build\AnswerText;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickTarget;
use Cobblestone\Media\Build\StickWish;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Scheme;

/** A folder for one test of images and sticks, and short words for making them. */
final class Workshop
{
    public readonly string $folder;

    public function __construct()
    {
        $this->folder = sys_get_temp_dir().'/cobble-test-'.bin2hex(random_bytes(6));
        mkdir($this->folder, 0700);
        config([
            'cobblestone.shelf' => "{$this->folder}/shelf",
            'cobblestone.sticks' => "{$this->folder}/sticks",
            'cobblestone.signers' => "{$this->folder}/signers",
            'cobblestone.drivers' => "{$this->folder}/drivers",
        ]);
        mkdir("{$this->folder}/shelf");
        mkdir("{$this->folder}/signers");
    }

    public function clear(): void
    {
        Command::run(['rm', '-rf', '--', $this->folder]);
    }

    /** One of the fixture images as a file on the shelf. */
    public function image(string $name): string
    {
        $path = "{$this->folder}/shelf/{$name}";
        is_file($path) || file_put_contents($path, Images::bytes($name));

        return $path;
    }

    public function stick(int $bytes = 300_000_256, string $name = 'stick.img'): FileStick
    {
        return FileStick::ofSize("{$this->folder}/{$name}", $bytes - ($bytes % 512));
    }

    public function plan(
        string $image,
        StickDevice $stick,
        WriteMode $mode = WriteMode::FilesCopied,
        Scheme $scheme = Scheme::Gpt,
        bool $storage = false,
        ?string $drivers = null,
        ?StickTarget $target = null,
        ?AnswerText $answers = null,
    ): StickPlan {
        $wish = new StickWish(
            'Orrin Desktop 3',
            Bytes::mebi(3800),
            $mode,
            $scheme,
            $storage,
            takenLabels: ['ORRIN 3'],
            answers: $answers,
        );

        return StickBridge::plan(
            $image,
            Inspection::of($image),
            hash_file('sha256', $image),
            $target ?? $stick->target(),
            $wish,
            $drivers,
        );
    }

    public function build(
        StickPlan $plan,
        StickDevice $stick,
        string $image,
        ?string $drivers = null,
        ?BuildProgress $progress = null,
    ): BuildResult {
        return (new StickBuilder(
            $plan,
            $stick,
            new SourceFiles($image, $drivers),
            $progress ?? self::quiet(),
        ))->build();
    }

    public function failure(
        StickPlan $plan,
        StickDevice $stick,
        string $image,
        ?BuildProgress $progress = null,
    ): BuildFailure {
        try {
            $this->build($plan, $stick, $image, progress: $progress);
        } catch (BuildFailure $e) {
            return $e;
        }
        throw new \RuntimeException('It was built, though it should have failed.');
    }

    /** What a tool prints; the test fails where the tool does. */
    public static function says(string ...$command): string
    {
        return Command::run(array_values($command), 120);
    }

    public static function quiet(?int $cancelAfter = null): BuildProgress
    {
        return new class($cancelAfter) implements BuildProgress
        {
            /** @var list<string> */
            public array $stages = [];

            public int $most = 0;

            public function __construct(private readonly ?int $cancelAfter)
            {
            }

            public function stage(string $title, int $bytes): void
            {
                $this->stages[] = $title;
            }

            public function at(int $bytes): void
            {
                $this->most = max($this->most, $bytes);
            }

            public function mustGoOn(): void
            {
                if ($this->cancelAfter !== null && $this->most >= $this->cancelAfter) {
                    throw BuildFailure::cancelled();
                }
            }
        };
    }
}
