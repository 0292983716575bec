<?php

use Tests\Support\Demo;

/** @return iterable<string, array{string}> */
function coreFiles(): iterable
{
    foreach (
        new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator(Demo::root().'/core', FilesystemIterator::SKIP_DOTS),
        ) as $file
    ) {
        yield substr((string) $file, strlen(Demo::root()) + 1) => [(string) $file];
    }
}

/** Functions that reach the clock, chance, files, the network or the surroundings. */
const OUTSIDE = [
    'time',
    'microtime',
    'hrtime',
    'date',
    'gmdate',
    'mktime',
    'strtotime',
    'rand',
    'mt_rand',
    'random_int',
    'random_bytes',
    'uniqid',
    'shuffle',
    'array_rand',
    'file_get_contents',
    'file_put_contents',
    'fopen',
    'file',
    'glob',
    'scandir',
    'is_file',
    'is_dir',
    'unlink',
    'mkdir',
    'exec',
    'shell_exec',
    'system',
    'passthru',
    'proc_open',
    'popen',
    'getenv',
    'putenv',
    'curl_init',
    'fsockopen',
    'stream_socket_client',
    'mail',
    'header',
    'session_start',
    'env',
    'config',
    'app',
    'now',
    'request',
    'auth',
];

/** @return list<string> what a file of the core names that lies outside of it */
function namedOutside(string $file): array
{
    $tokens = PhpToken::tokenize((string) file_get_contents($file));
    $code = array_values(
        array_filter($tokens, fn (PhpToken $token) => ! $token->is([T_WHITESPACE, T_COMMENT, T_DOC_COMMENT])),
    );
    $found = [];
    foreach ($code as $index => $token) {
        $name = ltrim($token->text, '\\');
        if (
            $token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED]) &&
            preg_match('/^(Cobblestone\\\\|(Normalizer|Generator|DateTimeImmutable|DateTimeZone)$)/', $name) !== 1
        ) {
            $found[] = "uses {$name}";
        }
        $called = $token->is(T_STRING) && ($code[$index + 1]->text ?? '') === '(';
        if (
            $called &&
            ! in_array($code[$index - 1]->text, ['->', '?->', '::', 'function', 'new'], true) &&
            in_array(strtolower($token->text), OUTSIDE, true)
        ) {
            $found[] = "calls {$token->text}()";
        }
        if ($token->is(T_VARIABLE) && str_starts_with($token->text, '$_')) {
            $found[] = "reads {$token->text}";
        }
        // A calendar is no clock: one class counts days, and its factory takes only complete dates.
        if (
            in_array($token->text, ['DateTimeImmutable', 'DateTime', 'DateTimeZone'], true) &&
            basename($file) !== 'Moment.php'
        ) {
            $found[] = "keeps a calendar: {$token->text}";
        }
    }

    return $found;
}

it('knows nothing outside itself', function (string $file) {
    expect(namedOutside($file))->toBe([]);
})->with(fn () => coreFiles());

it('sees what lies outside', function () {
    $file = tempnam(sys_get_temp_dir(), 'core');
    file_put_contents($file, '<?php use Illuminate\Support\Str; $a = time(); $b = $_GET; $c->time(); new DateTime;');
    expect(namedOutside($file))->toBe([
        'uses Illuminate\Support\Str',
        'calls time()',
        'reads $_GET',
        'keeps a calendar: DateTime',
    ]);
    unlink($file);
});

it('has every file strict', function (string $file) {
    expect(file($file)[2])->toBe("declare(strict_types=1);\n");
})->with(fn () => coreFiles());
