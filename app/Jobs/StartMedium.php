<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Bridge\StickRegister;
use App\Bridge\StickRehearsal;
use App\Catalogue\CatalogueStore;
use App\Devices\Emulated\EmulatedMachine;
use App\Devices\Emulated\EmulatedStart;
use App\Devices\Emulated\MediumProof;
use App\Devices\Emulated\SeenSoFar;
use App\Devices\Emulated\TrustedStore;
use App\Devices\StandIn\LoaderFile;
use App\Models\ProvingStart;
use App\Models\ShelfFile;
use Cobblestone\Boot\Emulated\EmulatedFirmware;
use Cobblestone\Boot\Emulated\StartJudge;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\File;
use InvalidArgumentException;
use RuntimeException;

/** Starts a stick or an image in an emulated machine, in the background, and keeps what was seen. */
final class StartMedium implements ShouldQueue
{
    use Queueable;

    private const SECONDS = 240;

    public int $timeout = 0;

    public int $tries = 0;

    public function __construct(private readonly int $of)
    {
        $this->onQueue('starts');
    }

    public function handle(StickRegister $register, CatalogueStore $catalogue): void
    {
        $start = ProvingStart::query()->find($this->of);
        $lease = $start?->lease();
        if ($start === null || $lease === null) {
            return;
        }
        $folder = sys_get_temp_dir().'/cobble-start-'.bin2hex(random_bytes(6));
        try {
            if ($start->begin()) {
                File::makeDirectory($folder, 0o700);
                $start->refresh();
                $this->run($start, self::medium($start, $register), $catalogue, $folder);
            }
        } catch (StartStopped) {
            // Whoever stopped it has said so in the row.
        } catch (RuntimeException|InvalidArgumentException $e) {
            $start->tell(['state' => 'failed', 'fault' => mb_substr($e->getMessage(), 0, 500)]);
        } finally {
            File::deleteDirectory($folder);
            fclose($lease);
        }
    }

    private function run(ProvingStart $start, ?string $medium, CatalogueStore $catalogue, string $folder): void
    {
        $store = null;
        $signers = $start->trusts ?? ($start->machine === null
            ? null
            : (new StickRehearsal($catalogue->catalogue()))->emulated($start->machine)[1]);
        if ($signers !== null && $start->kind() === EmulatedFirmware::UefiSecure) {
            TrustedStore::write($signers, $store = "{$folder}/keys");
        }
        $before = $medium === null ? null : MediumProof::of($medium);
        $start->tell(['sha256' => $before?->sha256]) || throw new StartStopped;
        $drive = EmulatedDriveOf::start($start, $folder);
        $machine = new EmulatedMachine($folder, $start->kind(), $drive->hardware());
        $done = $machine->start(
            $medium,
            new StartJudge($start->kind(), [LoaderFile::WELCOME], $drive->isWorkedOn()),
            self::SECONDS,
            $store,
            static fn (SeenSoFar $seen, float $seconds) => self::tell($start, $seen, $seconds, $folder),
        );
        if ($medium !== null && $before !== null && ! MediumProof::of($medium)->isSameAs($before)) {
            throw new RuntimeException(
                'The medium is not what it was before: somebody else writes to it. Nothing is said of this start.',
            );
        }
        $start->tell(['state' => 'done', ...self::found($start, $done), ...$drive->kept()]);
    }

    /** @return array<string, mixed> */
    private static function found(ProvingStart $start, EmulatedStart $done): array
    {
        return [
            'outcome' => $done->outcome->value,
            'seconds' => $done->seconds,
            'resets' => $done->resets,
            'printed' => $done->text,
            ...$done->picture === null ? [] : ['pictures' => self::kept($start, $done->picture)],
        ];
    }

    private static function tell(ProvingStart $start, SeenSoFar $seen, float $seconds, string $folder): void
    {
        $picture = is_file("{$folder}/picture.png") ? self::kept($start, "{$folder}/picture.png") : 0;
        $start->tell([
            'seconds' => round($seconds, 1),
            'printed' => mb_substr($seen->text(), -EmulatedMachine::TEXT_KEPT),
            'pictures' => $picture,
        ]) || throw new StartStopped;
    }

    /** A picture is kept once it is whole: a PNG ends with the name of its last part and its sum. */
    private static function kept(ProvingStart $start, string $picture): int
    {
        $bytes = (string) @file_get_contents($picture);
        if (str_contains(substr($bytes, -12), 'IEND')) {
            File::ensureDirectoryExists(dirname($start->picture()));
            File::put($start->picture(), $bytes, true);
            $start->pictures++;
        }

        return $start->pictures;
    }

    /** Null where the machine goes on with its drive alone. */
    private static function medium(ProvingStart $start, StickRegister $register): ?string
    {
        if ($start->drive_of !== null) {
            return null;
        }
        $path = match (true) {
            $start->shelf_file_id !== null => ShelfFile::query()->find($start->shelf_file_id)?->path(),
            $register->isGone((string) $start->slug) => null,
            default => $register->device((string) $start->slug)->path(),
        };

        return $path !== null && is_file($path) ? (string) realpath($path) : throw new RuntimeException(
            'The medium is not there any more, so nothing was started.',
        );
    }
}
