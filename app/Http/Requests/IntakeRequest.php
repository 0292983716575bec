<?php

namespace App\Http\Requests;

use App\Bridge\BenchClock;
use App\Catalogue\CatalogueStore;
use App\Documents\FieldFaults;
use Closure;
use Cobblestone\Brief\FirstBootBlock;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\ImageOrigin;
use Cobblestone\Inventory\LsblkReader;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Policy\Schools;
use Cobblestone\Runbook\JobKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

/** The intake form as a brief, and the core's faults as messages beside the fields. */
final class IntakeRequest extends FormRequest
{
    /** Start of a brief's path => field of the form. */
    private const FIELDS = [
        'machine.lsblk' => 'lsblk',
        'machine.model' => 'machine',
        'machine.facts' => 'facts',
        'machine' => 'machine',
        'image.name' => 'image_name',
        'image.bytes' => 'image_bytes',
        'image.sha256' => 'image_sha256',
        'image.kind' => 'image_kind',
        'image.origin.from' => 'image_from',
        'image.origin' => 'image_origin',
        'image' => 'image',
        'system' => 'system_name',
        'card' => 'card_new',
        'update' => 'update_reason',
        'licence' => 'licence_edition',
        'depends' => 'depends',
        'goal' => 'goal',
        'memory' => 'facts',
        'backup.bytes' => 'backup_bytes',
        'backup.files' => 'backup_files',
        'backup.largest_bytes' => 'backup_largest',
        'backup.destination.free_bytes' => 'dest_free',
        'backup.destination' => 'dest_name',
        'backup.folders' => 'folders',
        'backup' => 'keep',
        'first_boot.computer_name' => 'fb_name',
        'first_boot' => 'fb_name',
        'owner' => 'owner',
        'slot' => 'slot',
        'title' => 'title',
        'policy' => 'policy',
        'extras' => 'extra_what',
    ];

    /** More text than lsblk ever prints is let go at once: kept for the form, it would only fill the session. */
    protected function prepareForValidation(): void
    {
        $text = $this->input('lsblk');
        if (is_string($text) && strlen($text) > LsblkReader::LIMIT) {
            $this->merge(['lsblk' => '']);
            throw ValidationException::withMessages([
                'lsblk' => sprintf(
                    'The pasted text has %.1f MB, far more than lsblk ever prints; it was let go. Paste only the '
                        .'output of "lsblk -J -b".',
                    strlen($text) / 1e6,
                ),
            ]);
        }
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'machine' => 'nullable|string|max:120',
            'machine_title' => 'nullable|string|max:120',
            'usb_a' => 'nullable|integer|min:0|max:16',
            'usb_c' => 'nullable|integer|min:0|max:16',
            'title' => 'nullable|string|max:120',
            'owner' => 'nullable|string|max:120',
            'slot' => 'nullable|integer|min:1|max:99',
            'image' => 'nullable|string|max:120',
            'image_name' => 'nullable|string|max:200',
            'image_bytes' => 'nullable|string|max:40',
            'image_kind' => 'nullable|in:'.implode(',', Image::KINDS),
            'image_loader' => 'nullable|in:signed,unsigned',
            'image_sha256' => 'nullable|string|regex:/^[0-9a-fA-F]{64}$/',
            'image_no_sum' => 'nullable|in:none',
            'image_origin' => 'nullable|in:'.implode(',', array_keys(ImageOrigin::KINDS)),
            'image_from' => 'nullable|string|max:200',
            'image_reason' => 'nullable|string|max:400',
            'system_name' => 'nullable|string|max:120',
            'goal' => 'nullable|in:'.implode(',', array_column(JobKind::cases(), 'value')),
            'system_id' => 'nullable|string|max:120',
            'depends' => 'nullable|string|max:2000',
            'host' => 'nullable|string|max:61',
            'collect' => 'nullable|in:yes',
            'licence_kind' => 'nullable|in:'.implode(',', array_keys(FactRegistry::offers('licence.kind'))),
            'licence_edition' => 'nullable|string|max:120',
            'seen_folders' => 'nullable|string|max:4000',
            ...self::backupRules(),
            ...self::extraRules(),
            ...self::cardRules(),
            ...self::firstBootRules(),
            ...array_fill_keys(
                array_map(static fn (string $school): string => "policy_{$school}", array_keys(Schools::all())),
                'nullable|string|max:40',
            ),
            'lsblk' => 'nullable|string',
            'facts' => 'nullable|array|max:60',
            'facts.*' => 'nullable|string|max:200',
        ];
    }

    /** @return array<string, string> */
    private static function backupRules(): array
    {
        return [
            'keep' => 'nullable|in:some,nothing',
            'folders' => 'nullable|string|max:4000',
            'backup_bytes' => 'nullable|string|max:40',
            'backup_files' => 'nullable|integer|min:0',
            'dest_name' => 'nullable|string|max:120',
            'dest_free' => 'nullable|string|max:40',
            'dest_rate' => 'nullable|numeric|gt:0|max:100000',
            'dest_fs' => 'nullable|in:fat32,exfat,ntfs,ext4,other',
            'backup_largest' => 'nullable|string|max:40',
            'excluded' => 'nullable|string|max:4000',
            'source_rate' => 'nullable|numeric|gt:0|max:100000',
            'dest_serial' => 'nullable|string|max:120',
            'existing_date' => 'nullable|date_format:Y-m-d',
            'existing_proven' => 'nullable|in:yes,no',
            'existing_samples' => 'nullable|integer|min:0|max:1000',
        ];
    }

    /** @return array<string, string> what comes from elsewhere */
    private static function extraRules(): array
    {
        return [
            'extra_what' => 'nullable|string|max:200',
            'extra_source' => 'nullable|string|max:200',
            'extra_sha256' => 'nullable|string|regex:/^[0-9a-fA-F]{64}$/',
            'extra_reason' => 'nullable|string|max:200',
            'extra_undo' => 'nullable|string|max:400',
        ];
    }

    /** @return array<string, string> */
    private static function firstBootRules(): array
    {
        return [
            'fb_name' => 'nullable|string|max:63',
            'fb_region' => 'nullable|string|max:60',
            'fb_keyboard' => 'nullable|string|max:60',
            'fb_use' => 'nullable|in:'.implode(',', FirstBootBlock::USES),
            'fb_account' => 'nullable|in:'.implode(',', FirstBootBlock::ACCOUNTS),
            'fb_restore' => 'nullable|in:'.implode(',', FirstBootBlock::RESTORES),
        ];
    }

    /** @return array<string, string|list<string>> firmware updates and cards */
    private static function cardRules(): array
    {
        return [
            'update_reason' => 'nullable|string|max:400',
            'update_to' => 'nullable|string|max:60',
            'card_new' => 'nullable|string|max:120',
            'card_old' => 'nullable|string|max:120',
            'card_watts' => 'nullable|numeric|min:1|max:2000',
            'card_supply_w' => 'nullable|numeric|min:1|max:5000',
            'card_processor_w' => 'nullable|numeric|min:1|max:1000',
            'update_gives' => 'nullable|string|max:200',
            'update_processor' => 'nullable|string|max:120',
            'update_on_stick' => 'nullable|string|max:200',
            'card_id' => ['nullable', 'string', 'regex:/^(pci|usb):[0-9a-fA-F]{4}:[0-9a-fA-F]{4}$/'],
            'card_leads' => [
                'nullable',
                'string',
                'regex:/^(none|(6-pin|8-pin|16-pin:[0-9]{2,4})(\s*,\s*(6-pin|8-pin|16-pin:[0-9]{2,4})){0,7})$/',
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'goal.*' => 'Choose a kind of job from the list.',
            'slot.*' => 'A slot is a whole number from 1 to 99, or empty.',
            'usb_a.*' => 'A whole number from 0 to 16.',
            'usb_c.*' => 'A whole number from 0 to 16.',
            'backup_files.*' => 'A whole number of files.',
            'dest_rate.*' => 'Megabytes per second, above 0.',
            'source_rate.*' => 'Megabytes per second, above 0.',
            'existing_date.*' => 'A day, such as 2026-11-20.',
            'existing_samples.*' => 'A whole number.',
            'card_id.*' => 'An identifier such as pci:46e1:7700.',
            'card_leads.*' => 'Leads such as "8-pin, 8-pin" or "16-pin:450", or "none".',
            'image_sha256.*' => 'The 64 digits and letters that the publisher\'s page or sha256sum shows.',
            'extra_sha256.*' => 'The 64 digits and letters that sha256sum prints.',
            '*.max' => 'This is too long.',
        ];
    }

    /**
     * The whole form over what the job had before.
     *
     * @param  array<string, mixed>  $before
     * @return array<string, mixed>
     */
    public function brief(array $before): array
    {
        return (new IntakeForm(
            $this->validated(),
            app(CatalogueStore::class)->catalogue(),
            (string) $this->user()?->title,
            BenchClock::stamp(),
        ))->over($before);
    }

    /**
     * @param  array<string, mixed>  $before
     * @return array<string, mixed>
     */
    public function answers(array $before): array
    {
        return (new IntakeForm(
            $this->validated(),
            app(CatalogueStore::class)->catalogue(),
            (string) $this->user()?->title,
            BenchClock::stamp(),
        ))->answersOver($before);
    }

    /**
     * Runs the work and turns the core's named errors into messages beside the fields they are about.
     *
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    public function guarded(Closure $work): mixed
    {
        return FieldFaults::asMessages($work, self::FIELDS, 'machine');
    }
}
