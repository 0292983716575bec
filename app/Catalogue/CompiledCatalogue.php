<?php

namespace App\Catalogue;

use App\Database\ReadAlong;
use App\Models\CatalogueEntry;
use Illuminate\Support\Facades\DB;

/**
 * The catalogue as one file of PHP, read once by every worker and then held by the opcode cache: its documents are
 * asked for on most pages and change a few times a day. Which file it is follows from what the table holds.
 */
final class CompiledCatalogue
{
    /** @var array<string, array<string, array<string, mixed>>>|null */
    private ?array $documents = null;

    public const ASKED = 'catalogue';

    private string $version = '';

    public function __construct(private readonly string $folder)
    {
    }

    /** The request is over, or has changed what the catalogue holds. */
    public function askAnew(): void
    {
        request()->attributes->remove(self::ASKED);
        ReadAlong::forget(self::ASKED);
    }

    /** @return array<string, array<string, array<string, mixed>>> kind => identifier => document, by identifier */
    public function documents(): array
    {
        // One page shows one catalogue: what it holds is asked for once a request, and at every look elsewhere.
        if ($this->documents !== null && request()->attributes->get(self::ASKED) === true) {
            return $this->documents;
        }
        if (app('router')->current() !== null) {
            request()->attributes->set(self::ASKED, true);
        }
        $version = self::version();
        if ($this->documents === null || $this->version !== $version) {
            $this->documents = $this->compiled($version);
            $this->version = $version;
        }

        return $this->documents;
    }

    /** Where each row lies and which transaction wrote it there: any change makes another text. */
    private static function version(): string
    {
        return ReadAlong::of(self::ASKED) ?? (string) DB::scalar('select catalogue_version()');
    }

    /** @return array<string, array<string, array<string, mixed>>> */
    private function compiled(string $version): array
    {
        $of = DB::connection();
        $whose = [$of->getConfig('host'), $of->getConfig('port'), $of->getDatabaseName()];
        $database = substr(hash('sha256', serialize($whose)), 0, 12);
        $file = "{$this->folder}/catalogue-{$database}-{$version}.php";
        if ($this->folder !== '' && is_file($file)) {
            /** @var array<string, array<string, array<string, mixed>>> */
            return require $file;
        }
        $documents = self::read();
        if ($this->folder !== '') {
            self::write($file, $documents);
        }

        return $documents;
    }

    /** @return array<string, array<string, array<string, mixed>>> */
    private static function read(): array
    {
        $documents = [];
        foreach (CatalogueEntry::query()->orderBy('slug')->get() as $entry) {
            $documents[$entry->kind][$entry->slug] = $entry->document;
        }

        return $documents;
    }

    /**
     * Whole or not at all; what it takes the place of is removed. Where it cannot be written the table is read again.
     *
     * @param  array<string, array<string, array<string, mixed>>>  $documents
     */
    private static function write(string $file, array $documents): void
    {
        $begun = $file.'.'.getmypid();
        if (@file_put_contents($begun, '<?php return '.var_export($documents, true).';') === false) {
            return;
        }
        @rename($begun, $file);
        $of = implode('-', array_slice(explode('-', basename($file)), 0, 2));
        foreach (glob(dirname($file)."/{$of}-*.php") ?: [] as $other) {
            $other === $file || @unlink($other);
        }
    }
}
