<?php

declare(strict_types=1);

namespace Tests\Feature\MyData;

use App\MyData\PartTokens;
use App\Workshop\BankLoader;
use Closure;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use ZipArchive;

/** Takes archives away, changes them, and brings them back, here or into a second database. */
trait BringsArchives
{
    protected function packed(): string
    {
        $response = $this->get('/api/my-data')->assertOk();
        $file = $response->baseResponse->getFile();
        $zip = (string) file_get_contents($file->getPathname());
        unlink($file->getPathname());

        return $zip;
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    protected function bring(string $zip): TestResponse
    {
        return $this->call(
            'POST',
            '/api/my-data',
            server: ['CONTENT_TYPE' => 'application/zip', 'HTTP_ACCEPT' => 'application/json'],
            content: $zip,
        );
    }

    /** @return array<string, mixed> what is in it, JSON read */
    protected function files(string $zip): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'test-');
        file_put_contents($path, $zip);
        $archive = new ZipArchive();
        self::assertTrue($archive->open($path));
        $files = [];
        for ($i = 0; $i < $archive->numFiles; $i++) {
            $name = (string) $archive->getNameIndex($i);
            $text = (string) $archive->getFromIndex($i);
            $files[$name] = str_ends_with($name, '.json') ? json_decode($text, true) : $text;
        }
        $archive->close();
        unlink($path);

        return $files;
    }

    /**
     * An archive of some files, told truly.
     *
     * @param  array<string, mixed>  $files
     */
    protected function zip(array $files, ?Closure $more = null): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'test-');
        $archive = new ZipArchive();
        $archive->open($path, ZipArchive::OVERWRITE);
        $manifest = $files['manifest.json'] ?? ['format' => 'uplandia-archive', 'version' => 1, 'made_at' => 'now'];
        $list = [];
        foreach ($files as $name => $file) {
            // An empty object must not become a list.
            $text = is_string($file) ? $file : (string) json_encode($file);
            if ($name !== 'manifest.json') {
                $archive->addFromString($name, $text);
                $list[] = ['name' => $name, 'bytes' => strlen($text), 'sha256' => hash('sha256', $text)];
            }
        }
        $archive->addFromString('manifest.json', (string) json_encode(['files' => $list] + $manifest));
        if ($more !== null) {
            $more($archive);
        }
        $archive->close();
        $zip = (string) file_get_contents($path);
        unlink($path);

        return $zip;
    }

    /** Works in a second database with the same banks, where all ids are others. */
    protected function elsewhere(Closure $work): void
    {
        $before = config('database.default');
        $here = config("database.connections.{$before}");
        config(['database.connections.elsewhere' => ['database' => ':memory:'] + $here]);
        config(['database.default' => 'elsewhere']);
        try {
            Artisan::call('migrate', ['--force' => true]);
            $this->flushSession();
            $this->candidate();
            app(BankLoader::class)->load(__DIR__.'/../kinds');
            app(BankLoader::class)->load(__DIR__.'/../exam');
            self::order();
            $this->actingAs($this->candidate());
            $work();
        } finally {
            config(['database.default' => $before]);
            DB::purge('elsewhere');
        }
    }

    protected static function order(): void
    {
        DB::table('exams')->where('slug', 'kinds')->update(['position' => 9]);
    }

    /** @return array<string, string> what every screen is told, with ids that say nothing of the database */
    protected function screens(): array
    {
        $user = (int) auth()->id();
        $sittings = DB::table('sittings')
            ->where('user_id', $user)
            ->whereNull('deleted_at')
            ->orderBy('created_at')
            ->orderBy('id')
            ->get();
        $told = [];
        foreach (['small-hills', 'kinds'] as $slug) {
            $exam = "/api/exams/{$slug}";
            foreach (['today', 'mastery', 'progress', 'plan', 'cohort', 'handbook-kept', 'recipes', 'cards/file',
                'builder', 'ready', 'adaptive'] as $screen) {
                $told["{$slug} {$screen}"] = $this->getJson("{$exam}/{$screen}");
            }
            foreach (['due', 'coming', 'suspended'] as $show) {
                $wanted = ['show' => $show, 'page' => 1];
                $told["{$slug} revisits {$show}"] = $this->getJson("{$exam}/revisits?".http_build_query($wanted));
            }
            $told["{$slug} gaps"] = $this->getJson("{$exam}/gaps?page=1");
            $told["{$slug} library"] = $this->getJson("{$exam}/library?page=1");
            $told["{$slug} cards"] = $this->getJson("{$exam}/cards?show=all&page=1");
            $told["{$slug} tests"] = $this->getJson("{$exam}/sittings?page=1");
        }
        foreach ($sittings as $i => $sitting) {
            $path = "/api/sittings/{$sitting->id}";
            $told["{$i} kept"] = $this->getJson("{$path}/kept");
            $told["{$i} scratch"] = $this->getJson("{$path}/scratch");
            $told["{$i} briefing"] = $this->getJson($path);
            if ($sitting->status === 'handed_in') {
                foreach (['result', 'review', 'table'] as $screen) {
                    $told["{$i} {$screen}"] = $this->getJson("{$path}/{$screen}");
                }
                for ($position = 0; $position < $sitting->questions; $position++) {
                    $told["{$i} question {$position}"] = $this->getJson("{$path}/questions/{$position}");
                }
            }
        }
        $names = [];
        foreach ($sittings as $i => $sitting) {
            $names[$sitting->id] = "sitting-{$i}";
            $names[$sitting->test_id] = "test-of-{$i}";
        }
        foreach (['recipes', 'cards'] as $table) {
            foreach (DB::table($table)->where('user_id', $user)->orderBy('id')->pluck('id') as $i => $id) {
                $names[$id] = "{$table}-{$i}";
            }
        }
        $versions = PartTokens::ofVersions(DB::table('question_versions')->pluck('id')->all());
        foreach ($versions as ['tokens' => $tokens]) {
            $names += $tokens;
        }
        $questions = array_column($versions, 'code', 'question');

        return array_map(function (TestResponse $answer) use ($names, $questions): string {
            $text = strtr((string) $answer->getContent(), $names);

            // What is asked wrongly here and there alike compares nothing.
            self::assertNotContains($answer->status(), [404, 405, 422, 500], $text);

            return $answer->status().' '.preg_replace_callback(
                '/"question":(\d+)/',
                fn (array $id): string => '"question":"'.$questions[(int) $id[1]].'"',
                $text,
            );
        }, $told);
    }

    /** What is in an archive, without what each installation names itself. */
    protected function plain(string $zip): string
    {
        $text = (string) json_encode(array_diff_key($this->files($zip), ['manifest.json' => 0]));
        // A paper's own test is everybody's, and made when somebody first sat it there.
        $text = (string) preg_replace('/"created_at":"[^"]*","updated_at":"[^"]*"(,"paper":")/', '$1', $text);
        $names = [];

        return (string) preg_replace_callback('/"(01[0-9a-hjkmnp-tv-z]{24})"/', function (array $id) use (&$names) {
            $names[$id[1]] ??= count($names);

            return "\"id-{$names[$id[1]]}\"";
        }, (string) preg_replace('/"secret":"\w+"|"name":"[^"]*","extraTime"/', '', $text));
    }
}
