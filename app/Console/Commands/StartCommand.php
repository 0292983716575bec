<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bridge\StickRehearsal;
use App\Catalogue\CatalogueFolder;
use App\Devices\Emulated\EmulatedMachine;
use App\Devices\Emulated\EmulatedStart;
use App\Devices\Emulated\MediumProof;
use App\Devices\Emulated\TrustedStore;
use App\Documents\DocumentFault;
use Cobblestone\Boot\Emulated\EmulatedFirmware;
use Cobblestone\Boot\Emulated\StartJudge;
use Cobblestone\Catalogue\UnknownEntry;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;
use InvalidArgumentException;
use RuntimeException;
use Symfony\Component\Console\Output\OutputInterface;

/** Starts a medium in an emulated machine, once, and says how it ended. */
final class StartCommand extends Command
{
    use SaidWords;

    private const SECONDS = 90;

    private const LINES_SHOWN = 12;

    protected $signature = 'cobblestone:start {image : a stick, or the image of one}
        {--firmware= : uefi, uefi-secure or bios}
        {--machine= : a model of the catalogue, whose firmware as it is delivered is taken}
        {--keys= : a variable store with the keys that Secure Boot goes by; without it those of the model, or test keys}
        {--welcome=* : what the medium is known to print once it runs}
        {--for=90 : seconds after which it is given up, 600 at most}
        {--picture= : where the last picture is kept, as PNG}
        {--catalogue= : a folder of catalogue files}
        {--json : print the findings as JSON}';

    protected $description = 'Starts a stick or an image in an emulated machine on this computer';

    public function handle(): int
    {
        $folder = sys_get_temp_dir().'/cobble-start-'.bin2hex(random_bytes(6));
        try {
            $image = $this->image();
            [$firmware, $signers] = $this->firmware();
            $missing = EmulatedMachine::missing();
            $missing === '' || throw new RuntimeException($missing);
            File::makeDirectory($folder, 0o700);
            $before = MediumProof::of($image);
            $start = (new EmulatedMachine($folder, $firmware))->start(
                $image,
                new StartJudge($firmware, array_values(array_map(strval(...), (array) $this->option('welcome')))),
                $this->seconds(),
                $this->store($folder, $signers),
            );
            MediumProof::of($image)->isSameAs($before) || throw new RuntimeException(
                'The medium is not what it was before: somebody else writes to it. Nothing is said of this start.',
            );

            return $this->told($image, $firmware, $start);
        } catch (DocumentFault|UnknownEntry|InvalidArgumentException|RuntimeException $e) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        } finally {
            File::deleteDirectory($folder);
        }
    }

    private function told(string $image, EmulatedFirmware $firmware, EmulatedStart $start): int
    {
        $picture = $this->kept($start);
        if ($this->option('json')) {
            $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE;
            $this->output->writeln((string) json_encode([
                'image' => basename($image),
                'firmware' => $firmware->value,
                'outcome' => $start->outcome->value,
                'seconds' => $start->seconds,
                'restarts' => $start->resets,
                'picture' => $picture,
                'text' => $start->text,
            ], $flags));

            return self::SUCCESS;
        }
        $this->line($start->outcome->title()." Told after {$start->seconds} s.");
        foreach (array_slice(explode("\n", $start->text), -self::LINES_SHOWN) as $line) {
            $this->output->writeln('  '.mb_substr($line, 0, 200), OutputInterface::OUTPUT_RAW);
        }
        $this->line('A real machine may do otherwise: its own firmware, sockets and drivers are not emulated.');

        return self::SUCCESS;
    }

    /** @return string|null where the picture is kept; null where none was wanted or there was none */
    private function kept(EmulatedStart $start): ?string
    {
        $to = $this->chosen('picture');
        if ($to === null || $start->picture === null) {
            return null;
        }
        if (! @copy($start->picture, $to)) {
            throw new RuntimeException("{$to}: the picture cannot be kept there.");
        }

        return $to;
    }

    private function image(): string
    {
        $file = $this->said('image');
        if (! is_file($file) || ! is_readable($file)) {
            throw new InvalidArgumentException("{$file}: there is no such file, or it may not be read.");
        }
        $path = (string) realpath($file);
        if (preg_match('/[\x00-\x1F\x7F]/', $path) === 1) {
            throw new InvalidArgumentException('The name of the file has control characters: rename it first.');
        }

        return $path;
    }

    /** @return array{EmulatedFirmware, list<string>|null} and the signers it trusts; null where no model says so */
    private function firmware(): array
    {
        [$kind, $model] = [$this->chosen('firmware'), $this->chosen('machine')];
        if (($kind === null) === ($model === null)) {
            throw new InvalidArgumentException(
                'Name either --machine=MODEL or --firmware=uefi, uefi-secure or bios.',
            );
        }
        if ($model !== null) {
            $folder = (string) ($this->chosen('catalogue') ?? config('cobblestone.catalogue'));

            [$firmware, $signers] = (new StickRehearsal(CatalogueFolder::read($folder)->catalogue()))->emulated($model);

            return [$firmware, $firmware === EmulatedFirmware::UefiSecure ? $signers : null];
        }

        $firmware = EmulatedFirmware::tryFrom((string) $kind) ?? throw new InvalidArgumentException(
            "--firmware={$kind}: it can be uefi, uefi-secure or bios.",
        );

        return [$firmware, null];
    }

    private function seconds(): int
    {
        $said = $this->chosen('for') ?? (string) self::SECONDS;
        if (! ctype_digit($said) || (int) $said < 1 || (int) $said > EmulatedMachine::MOST_SECONDS) {
            throw new InvalidArgumentException(
                "--for={$said}: seconds, from 1 to ".EmulatedMachine::MOST_SECONDS.'.',
            );
        }

        return (int) $said;
    }

    /** @param  list<string>|null  $signers */
    private function store(string $folder, ?array $signers): ?string
    {
        $file = $this->chosen('keys');
        if ($file !== null && ! is_file($file)) {
            throw new InvalidArgumentException("{$file}: there is no such file.");
        }
        if ($file !== null || $signers === null) {
            return $file;
        }
        foreach (TrustedStore::write($signers, "{$folder}/keys") as $missing) {
            $this->getOutput()->getErrorStyle()->writeln(
                "The certificate of {$missing} is not among the bench's signers: its loaders are refused here.",
            );
        }

        return "{$folder}/keys";
    }
}
