<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Runbook\JobKind;

/** The form a job is opened and changed with: what it knows, in groups, each field with what was typed or is known. */
final readonly class IntakePage
{
    private const FILE_SYSTEMS = [
        '' => 'not known',
        'fat32' => 'FAT32',
        'exfat' => 'exFAT',
        'ntfs' => 'NTFS',
        'ext4' => 'ext4',
        'other' => 'another',
    ];

    /**
     * @param  array<string, mixed>  $brief  empty for a new job
     * @param  array<string, string>  $kinds  kinds of machine that are typed for one the catalogue does not hold
     * @param  array<string, string>  $shelf  what was inspected on the shelf and the catalogue does not describe
     */
    public function __construct(
        private array $brief,
        private Catalogue $catalogue,
        private array $kinds,
        private array $shelf = [],
    ) {
    }

    public function isNew(): bool
    {
        return ! isset($this->brief['brief']);
    }

    public function machine(): string
    {
        $machine = $this->brief['machine'] ?? [];

        return IntakeField::typed('machine', $machine['model'] ?? ($machine['kind'] ?? ''));
    }

    /** @return array<string, string> what can be typed as a machine => words beside it */
    public function models(): array
    {
        $titles = array_map(static fn (MachineModel $one): string => $one->title(), $this->catalogue->machines());

        return [...array_fill_keys(array_values($titles), ''), ...$this->kinds];
    }

    public function serial(): IntakeField
    {
        $facts = $this->brief['machine']['facts'] ?? [];

        return IntakeField::text(
            'facts[machine.serial]',
            'Serial on its label',
            ((array) old('facts'))['machine.serial'] ?? ($facts['machine.serial'] ?? ''),
        )->wide('col-md-6')->upTo(120)->hinted('shows whether it was here before');
    }

    public function image(): IntakeField
    {
        $images = array_map(
            static fn (Image $image): string => trim("{$image->name} {$image->version}"),
            $this->catalogue->images(),
        );

        return IntakeField::choice('image', 'What goes on it', [
            ...$this->isNew() ? ['' => 'what this model usually gets'] : [],
            ...$images,
            ...$this->shelf,
            'other' => 'an image that is not on the shelf',
        ], is_array($this->brief['image'] ?? '') ? 'other' : (string) ($this->brief['image'] ?? ''))->wide('col-md-6');
    }

    public function kind(): IntakeField
    {
        $kinds = [];
        foreach (JobKind::cases() as $kind) {
            $kinds[$kind->value] = $kind->title();
        }
        $first = (string) array_key_first($kinds);

        return IntakeField::choice('goal', 'Kind of job', $kinds, $this->brief['goal'] ?? $first)->wide('col-md-6');
    }

    /** What it is set up anew for: only a fault can be mended by something gentler (rule A3). */
    public function why(): IntakeField
    {
        $facts = $this->brief['machine']['facts'] ?? [];

        return IntakeField::fact('wish.why', is_array($facts) ? $facts : [])->wide('col-md-6');
    }

    public function ofKinds(): IntakeGroup
    {
        [$update, $card] = [$this->brief['update'] ?? [], $this->brief['card'] ?? []];
        $licence = $this->brief['licence'] ?? [];
        $systems = array_map(static fn (SystemProfile $one): string => $one->name, $this->catalogue->systems());
        $system = is_string($this->brief['system'] ?? null) && ! isset($this->brief['image']);

        return new IntakeGroup('What some kinds of job ask for', [
            IntakeField::choice(
                'system_id',
                'System on it now, for a repair or a card',
                ['' => 'as usual for the model', ...$systems],
                $system ? $this->brief['system'] : '',
            )->wide('col-md-4'),
            IntakeField::choice(
                'licence_kind',
                'Licence',
                ['' => 'not asked yet', ...FactRegistry::offers('licence.kind')],
                $licence['kind'] ?? '',
            )->wide('col-md-4'),
            IntakeField::text('licence_edition', 'Edition it fits', $licence['edition'] ?? '')
                ->wide('col-md-4')
                ->upTo(120),
            IntakeField::text(
                'depends',
                'Programs and devices the owner depends on',
                implode(', ', $this->brief['depends'] ?? []),
            )->wide('col-md-6')->upTo(2000),
            IntakeFields::programs($this->brief, $this->catalogue->appSets()),
            IntakeField::text('update_reason', 'Reason for a firmware update', $update['reason'] ?? '')
                ->wide('col-md-4'),
            IntakeField::figure('update_to', 'To version', $update['to'] ?? '')->wide('col-md-2')->upTo(60),
            IntakeField::text('card_new', 'New graphics card', $card['new'] ?? '')->wide('col-md-4')->upTo(120),
            IntakeField::figure('card_watts', 'Card, W', $card['watts'] ?? '', 'number')->wide('col-md-2'),
            IntakeField::figure('card_processor_w', 'Processor, W', $card['processor_w'] ?? '', 'number')
                ->wide('col-md-2'),
            IntakeField::figure('card_supply_w', 'Supply, W', $card['supply_w'] ?? '', 'number')->wide('col-md-2'),
        ], $update !== [] || $card !== [] || isset($this->brief['depends']));
    }

    public function notHeld(): IntakeGroup
    {
        $image = is_array($this->brief['image'] ?? null) ? $this->brief['image'] : [];
        $system = is_array($this->brief['system'] ?? null) ? $this->brief['system'] : [];
        $machine = $this->brief['machine'] ?? [];
        $ports = $machine['ports'] ?? [];

        return new IntakeGroup('Machine or image the catalogue does not hold', [
            IntakeField::text('system_name', 'System', $system['name'] ?? '')->wide('col-sm-6 col-lg-3')->upTo(120),
            IntakeField::text('image_name', 'Image file', $image['name'] ?? '')->wide('col-sm-6 col-lg-3')->upTo(200),
            IntakeField::figure('image_bytes', 'Its size', $image['bytes'] ?? '')
                ->wide('col-sm-6 col-lg-2')
                ->hinted('3.6 GB')
                ->upTo(40),
            ...IntakeFields::image($image),
            ...IntakeFields::origin($image['origin'] ?? []),
            IntakeField::figure('usb_c', 'USB-C sockets', $ports['usb-c'] ?? '', 'number')->wide('col-6 col-lg-2'),
            IntakeField::figure('usb_a', 'USB-A sockets', $ports['usb-a'] ?? '', 'number')->wide('col-6 col-lg-2'),
            IntakeField::text('machine_title', 'What to call the machine', $machine['title'] ?? '')
                ->wide('col-sm-6')
                ->upTo(120),
        ], $this->image()->value === 'other');
    }

    public function keepAsked(): string
    {
        return FactQuestion::text('owner.keep');
    }

    /** @return array<string, string> */
    public function keeping(): array
    {
        return ['' => 'not asked yet', ...FactRegistry::offers('owner.keep')];
    }

    public function keep(): string
    {
        $known = $this->brief['machine']['facts']['owner.keep'] ?? ($this->brief['backup']['keep'] ?? '');

        return IntakeField::typed('keep', $known);
    }

    public function kept(): IntakeGroup
    {
        $backup = $this->brief['backup'] ?? [];
        $to = $backup['destination'] ?? [];
        $list = static fn (string $name): string => implode(', ', $backup[$name] ?? []);

        return new IntakeGroup('What has to be kept', [
            IntakeField::text('folders', 'Folders to copy', $list('folders'))->wide('col-md-6')->upTo(4000),
            IntakeField::text('seen_folders', 'Folders seen on it, the others too', $list('seen_folders'))
                ->wide('col-md-6')
                ->upTo(4000),
            IntakeField::figure('backup_bytes', 'Together', $backup['bytes'] ?? '')->hinted('24.1 GB'),
            IntakeField::figure('backup_files', 'Files', $backup['files'] ?? '', 'number'),
            IntakeField::figure('backup_largest', 'Largest file', $backup['largest_bytes'] ?? '')->hinted('5.1 GB'),
            IntakeField::choice('dest_fs', 'File system there', self::FILE_SYSTEMS, $to['file_system'] ?? ''),
            IntakeField::text('dest_name', 'Copied to', $to['name'] ?? '')->wide('col-md-6'),
            IntakeField::figure('dest_free', 'Free there', $to['free_bytes'] ?? '')->hinted('410 GB'),
            IntakeField::figure('dest_rate', 'Its rate, MB/s', $to['mb_s'] ?? ''),
        ], ! $this->isNew() || (bool) old('keep'));
    }

    /** Whether it is shown at once: what was said there, or was refused. */
    public function more(): bool
    {
        $fields = array_merge(...array_values($this->besides()));
        $faults = ['facts', ...array_map(static fn (IntakeField $field): string => $field->fault(), $fields)];

        return ($this->brief['policy'] ?? []) !== [] ||
            isset($this->brief['backup']['existing']) ||
            session('errors')?->hasAny($faults) === true;
    }

    /** @return array<string, list<IntakeField>> what a brief can say besides, by heading */
    public function besides(): array
    {
        return IntakeFields::of($this->brief, $this->catalogue->hosts());
    }

    /** What was said in the brief and no field here shows; empty where there is nothing. */
    public function said(): string
    {
        return implode(' · ', BriefWords::said($this->brief));
    }

    public function drivesAreRead(): bool
    {
        $machine = $this->brief['machine'] ?? [];

        return isset($machine['lsblk']) || in_array('lsblk', array_column($machine['readings'] ?? [], 'tool'), true);
    }

    public function names(): IntakeGroup
    {
        return new IntakeGroup('Name, owner, slot', [
            IntakeField::text('title', 'Name of the job', $this->brief['title'] ?? '')
                ->wide('col-md-6')
                ->hinted('the model\'s name')
                ->upTo(120),
            IntakeField::text('owner', 'Owner', $this->brief['owner'] ?? '')
                ->wide('col-md-4')
                ->hinted('the owner')
                ->upTo(120),
            IntakeField::figure('slot', 'Slot', $this->brief['slot'] ?? '', 'number')->wide('col-md-2'),
        ], false);
    }
}
