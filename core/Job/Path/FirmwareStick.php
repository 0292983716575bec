<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Catalogue\Stick;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Machine\Port;
use Cobblestone\Media\FilesFor;
use Cobblestone\Media\StickChoice;
use Cobblestone\Media\SticksAtHand;
use Cobblestone\Media\WantedFile;
use Cobblestone\Media\WantedFiles;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\WorksOn;

/** The stick that firmware is written from: FAT32, each file under the name that the board looks for (rule F5). */
final readonly class FirmwareStick
{
    /** Room for the files of a board, and for a FAT32 volume at all (default). */
    private const ROOM_MEBI = 128;

    private function __construct(public WantedFiles $wanted, public Decision $decision, private ?Stick $stick)
    {
    }

    /**
     * Null where the file lies on a stick already, or nobody knows which one it is.
     *
     * @param  list<Release>  $stops  in the order in which they are written
     */
    public static function for(JobContext $context, array $stops): ?self
    {
        if ($stops === [] || $context->brief->update?->onStick !== null) {
            return null;
        }
        $connectors = array_map(static fn (Port $port): string => $port->connector, self::ports($context->machine));
        $choice = StickChoice::decide('firmware.stick', 'Which stick for the firmware', new SticksAtHand(
            $context->catalogue->sticks($context->brief->sticks),
            $context->policy->school('stick'),
            array_values(array_unique($connectors)),
        ), Bytes::mebi(self::ROOM_MEBI));

        return new self(
            new WantedFiles(FilesFor::Firmware, self::files($stops), $choice->stick?->id),
            $choice->decision,
            $choice->stick,
        );
    }

    /**
     * The first that is written lies in the top folder; one that the board would look for under the same name waits in
     * a folder of its own.
     *
     * @param  list<Release>  $stops
     * @return list<WantedFile>
     */
    private static function files(array $stops): array
    {
        [$files, $taken] = [[], []];
        foreach ($stops as $stop) {
            $name = $stop->nameOnStick();
            $path = isset($taken[strtoupper($name)]) ? self::folder($stop)."/{$name}" : $name;
            $taken[strtoupper($name)] = true;
            $files[] = new WantedFile($stop->file, $path, $stop->sha256);
        }

        return $files;
    }

    private static function folder(Release $stop): string
    {
        return 'LATER-'.(string) preg_replace('/[^A-Za-z0-9.]+/', '-', $stop->version);
    }

    /** What has to be done with the file before that release can be written; null where it lies in its place. */
    public function moving(Release $stop): ?string
    {
        foreach ($this->wanted->files as $file) {
            if ($file->file === $stop->file && str_contains($file->path, '/')) {
                return "On the bench computer: move `{$file->path}` to the top folder, in place of the one that was "
                    .'written.';
            }
        }

        return null;
    }

    /**
     * Sockets that sit on the board itself: a lead inside the case may not be powered then.
     *
     * @return list<Port>
     */
    public static function ports(Machine $machine): array
    {
        $own = array_filter(
            $machine->ports,
            static fn (Port $port): bool => $machine->kind !== Kind::Desktop || ! $port->isFront(),
        );

        return array_values($own === [] ? $machine->ports : $own);
    }

    /** Where it is plugged in, as one line; null where no socket is known. */
    public function socket(Machine $machine): ?string
    {
        foreach (self::ports($machine) as $port) {
            if ($this->stick === null || $port->connector === $this->stick->connector) {
                return 'Put the stick into '.strtoupper($port->connector).", {$port->where}"
                    .($machine->kind === Kind::Desktop ? ': a socket on the board itself.' : '.');
            }
        }

        return null;
    }

    public function step(): Step
    {
        $of = $this->stick;

        return new Step(
            'firmware.stick',
            Stage::FirmwareUpdate,
            'Firmware stick',
            Presence::Hands,
            Estimate::minutes(2, 4, 12),
            $this->instructions(),
            before: [PathFact::FIRMWARE_FETCHED],
            after: [PathFact::FIRMWARE_ON_STICK],
            needs: ['hands', 'stick', 'bench computer'],
            acts: [Act::WriteStick],
            because: [
                $this->decision->asReason(),
                new Reason('Firmware reads FAT32 and looks in the top folder only.', 'F5'),
            ],
            cautions: ['Everything on the stick is lost.'],
            confirmation: new Confirmation(
                $of->name ?? 'the stick you take',
                $of?->size()->count ?? 0,
                $of?->serial,
                $of->contents ?? 'whatever is on it',
                'the bench',
                typed: false,
            ),
            worksOn: WorksOn::Stick,
        );
    }

    /** @return list<string> */
    private function instructions(): array
    {
        $of = $this->stick;

        return [
            $of === null
                ? "Take {$this->decision->chosen}. Nothing on it may be needed."
                : "Take {$of->name}".($of->serial === null
                    ? ': it reports no serial, so take all others out.' : ", serial `{$of->serial}`."),
            'One FAT32 partition, MBR. The board looks for exactly these names:',
            ...array_map(
                static fn (WantedFile $file): string => "`{$file->path}`"
                    .($file->path === $file->file ? '.' : ", which is `{$file->file}`."),
                $this->wanted->files,
            ),
            'Read it back and compare the checksums.',
        ];
    }
}
