<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Storage\Scheme;

/** What is on record of a stick, and what it lacks to be the one that a job wants (rule M12). */
final readonly class StickContent
{
    /**
     * @param  ShelfImage  $image  that it was made from
     * @param  Scheme|null  $scheme  of its own table; null where the image brought it
     * @param  string|null  $driversMark  of the driver files on it; null where it carries none
     * @param  string|null  $answers  SHA-256 of its file of answers; null where it carries none
     */
    private function __construct(
        public ShelfImage $image,
        public WriteMode $mode,
        public ?Scheme $scheme,
        public ?string $driversMark,
        public ?string $answers,
    ) {
    }

    /**
     * @param  array<array-key, mixed>|null  $content  as a build keeps it
     * @param  array<string, string>  $published  file on the shelf => the publisher's checksum of it
     * @return self|null null where nothing was built on it
     */
    public static function read(?array $content, array $published = []): ?self
    {
        $fields = Fields::of($content ?? []);
        try {
            return $fields->has('image') ? new self(
                ShelfImage::told(
                    $fields->string('image'),
                    array_filter($fields->optionalBlock('about')?->all() ?? [], is_string(...)),
                    $fields->optionalString('image_sha256'),
                    $published[$fields->string('image')] ?? null,
                ),
                $fields->enum('mode', WriteMode::class),
                $fields->optionalBlock('layout')?->optionalEnum('scheme', Scheme::class),
                $fields->optionalString('drivers_mark')
                    ?? (($fields->optionalInt('drivers') ?? 0) > 0 ? 'some of before' : null),
                $fields->optionalString('answers_sha256')
                    ?? ($fields->optionalString('answers') === null ? null : 'one of before'),
            ) : null;
        } catch (FieldFault) {
            // A record of an earlier time that says less: the stick is made anew.
            return null;
        }
    }

    /**
     * Names driver files by path and size; the same folder gives the same mark.
     *
     * @param  array<string, int>  $files  path below the folder => bytes
     */
    public static function mark(array $files): ?string
    {
        ksort($files, SORT_STRING);

        return $files === [] ? null : hash('sha256', json_encode($files, JSON_THROW_ON_ERROR));
    }

    /**
     * The same, of the files of a plan.
     *
     * @param  list<PlannedFile>  $files
     */
    public static function markOf(array $files): ?string
    {
        $along = [];
        foreach ($files as $file) {
            if ($file->from === 'drivers') {
                $along[$file->source] = $file->of;
            }
        }

        return self::mark($along);
    }

    /**
     * What it lacks, in words; nothing: as long as it is good, it is exactly what the job wants.
     *
     * @param  string|null  $driversMark  of the files that the job's drivers are; null where it carries none
     * @param  string|null  $answers  SHA-256 of the job's file of answers; null where it has none
     * @return list<string>
     */
    public function lacks(WantedStick $wanted, ?string $driversMark, ?string $answers): array
    {
        $against = ImageFit::of($wanted, $this->image)->against;

        return [
            ...($against === [] ? [] : ["made from {$this->image->name}: ".implode(', ', $against)]),
            ...($this->image->sha256 === null ? ['nobody knows the checksum of the image it was made from'] : []),
            ...$this->lacksForm($wanted),
            ...self::along('drivers', $this->driversMark, $driversMark),
            ...self::along('answers', $this->answers, $answers),
        ];
    }

    /** @return list<string> how it was written otherwise than the path has planned it */
    private function lacksForm(WantedStick $wanted): array
    {
        return match (true) {
            $this->mode !== $wanted->mode => [$wanted->mode === WriteMode::Raw
                ? 'its files were copied, and the path writes the image raw'
                : 'the image was written raw, and the path copies its files'],
            $this->scheme === $wanted->scheme, $this->scheme === null, $wanted->scheme === null => [],
            default => ['its table is '.strtoupper($this->scheme->value).', and the path wants '
                .strtoupper($wanted->scheme->value)],
        };
    }

    /** @return list<string> */
    private static function along(string $what, ?string $has, ?string $wants): array
    {
        return match (true) {
            $has === $wants => [],
            $has === null => ["it carries no {$what} of this job"],
            $wants === null => ["it carries {$what} that this job does not want"],
            default => ["its {$what} are others than this job's"],
        };
    }
}
