<?php

declare(strict_types=1);

namespace App\Bench;

use App\Account\User;
use App\Assembly\TestBuilder;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Sitting\Closing;
use App\Sitting\Opening;
use App\Sitting\Sitting;
use CurlHandle;
use CurlMultiHandle;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Uplandia\Core\Assembly\Filter\KindFilter;
use Uplandia\Core\Assembly\Filter\TopicFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;

/** Many people who answer at once, over real HTTP. */
final class Crowd
{
    /** It has questions with one answer only. */
    private const EXAM = 'refuge-warden';

    private const QUESTIONS = 20;

    /** Their single answers stand alone, so that each save is like any other. */
    private const TOPICS = ['radio', 'book', 'water.waste', 'food.store'];

    /** One in so many has handed in, looks at the result and says what lay behind it. */
    private const STUDIES = 10;

    /** One in so many sits an adaptive test. */
    private const ADAPTIVE = 10;

    public const TAB = 'crowd';

    /** @var list<CrowdMember> */
    private array $members = [];

    /** @var array<int, int> status => answers; 0: none came */
    private array $statuses = [];

    /** @var list<float> milliseconds */
    private array $took = [];

    private CurlMultiHandle $multi;

    public function __construct(
        private readonly TestBuilder $builder,
        private readonly Opening $opening,
        private readonly Closing $closing,
    ) {
        $this->multi = curl_multi_init();
    }

    /**
     * Makes people, signs each in, and opens a sitting for each: all that is not to be measured.
     *
     * @return list<CrowdMember>
     */
    public function gather(int $people): array
    {
        $exam = Exam::query()->where('slug', self::EXAM)->firstOrFail();
        $recipe = new Recipe(
            new Filters(new TopicFilter(self::TOPICS), new KindFilter(Kind::Single)),
            self::QUESTIONS,
            Mode::Untimed,
        );
        $adapting = new Recipe(filters: new Filters(), count: 60, mode: Mode::Untimed, adapting: true);
        for ($i = 0; $i < $people; $i++) {
            $user = User::query()
                ->create([
                    'name' => "Person {$i}",
                    'email' => Str::lower(Str::random(12)).'@corvane.example',
                    'password' => '!',
                ])
                ->refresh();
            $adapts = $i % self::ADAPTIVE === self::ADAPTIVE - 1;
            $sitting = Sitting::createFor(
                $this->builder->build(
                    candidacy: new Candidacy($user, $exam),
                    recipe: $adapts ? $adapting : $recipe,
                    seed: "load {$i}",
                ),
                $user,
            );
            $this->opening->open($sitting, self::TAB, take: true);
            $studies = $i % self::STUDIES === 4;
            if ($studies) {
                $this->handIn($sitting);
            }
            $member = new CrowdMember(
                sitting: $sitting->id,
                visitor: Visitor::signedIn($user),
                options: $adapts ? [] : $this->options($sitting),
            );
            $member->asked = $adapts ? 0 : null;
            $member->studies = $studies;
            $this->members[] = $member;
        }

        return $this->members;
    }

    /** Milliseconds that one post of events takes. */
    public function time(string $server, string $path, CrowdMember $member): float
    {
        return $member->visitor->ask(
            server: $server,
            method: 'POST',
            path: $path,
            body: ['tab' => self::TAB, 'events' => $member->events()],
        )->ms;
    }

    /**
     * Lets them answer.
     *
     * @param  float  $seconds  for so long
     * @param  float  $pause  seconds between the saves of one person; 0: as fast as they are answered
     */
    public function answer(string $server, float $seconds, float $pause): void
    {
        $from = microtime(true);
        foreach ($this->members as $i => $member) {
            $member->next = ($pause * $i) / count($this->members);
        }
        $busy = [];
        do {
            $now = microtime(true) - $from;
            foreach ($this->members as $i => $member) {
                if (! isset($busy[$i]) && $now < $seconds && $member->next <= $now) {
                    $busy[$i] = $this->send($server, $member);
                    $member->next = max($member->next + $pause, $pause === 0.0 ? $now : 0.0);
                }
            }
            curl_multi_exec($this->multi, $running);
            while ($done = curl_multi_info_read($this->multi)) {
                foreach ($busy as $who => ['handle' => $handle, 'ids' => $ids, 'marks' => $marks]) {
                    if ($handle === $done['handle']) {
                        $this->hear(member: $this->members[$who], handle: $handle, ids: $ids, marks: $marks);
                        unset($busy[$who]);
                    }
                }
            }
            curl_multi_select($this->multi, 0.005);
        } while ($now < $seconds || $busy !== []);
    }

    /** @return array<int, int> status => how often; 0: no answer came */
    public function statuses(): array
    {
        ksort($this->statuses);

        return $this->statuses;
    }

    /** Milliseconds that so large a share of the saves took at most. */
    public function percentile(float $share): float
    {
        sort($this->took);

        return $this->took === [] ? 0.0 : $this->took[(int) floor($share * (count($this->took) - 1))];
    }

    public function acknowledged(): int
    {
        return array_sum(array_map(fn (CrowdMember $member): int => count($member->acknowledged), $this->members));
    }

    /** How many acknowledged events and highlights are not stored. */
    public function missing(): int
    {
        $missing = 0;
        foreach ($this->members as $member) {
            $stored = DB::table('sitting_events')->where('sitting_id', $member->sitting)->pluck('uid')->all();
            $missing += count(array_diff($member->acknowledged, $stored));
            $marked = DB::table('highlights')
                ->join('test_items', 'test_items.question_id', '=', 'highlights.question_id')
                ->join('sittings', 'sittings.test_id', '=', 'test_items.test_id')
                ->where('sittings.id', $member->sitting)
                ->whereColumn('highlights.user_id', 'sittings.user_id')
                ->pluck('quote', 'position')
                ->all();
            $missing += count(array_diff_assoc($member->marked, $marked));
        }

        return $missing;
    }

    /** @return array{handle: CurlHandle, ids: list<string>, marks: array<int, string>} */
    private function send(string $server, CrowdMember $member): array
    {
        ['method' => $method, 'path' => $path, 'body' => $body, 'ids' => $ids, 'marks' => $marks] = $member->does();
        $handle = $member->visitor->request(server: $server, method: $method, path: $path, body: $body);
        curl_multi_add_handle($this->multi, $handle);

        return ['handle' => $handle, 'ids' => $ids, 'marks' => $marks];
    }

    /**
     * @param  list<string>  $ids
     * @param  array<int, string>  $marks
     */
    private function hear(CrowdMember $member, CurlHandle $handle, array $ids, array $marks): void
    {
        $status = (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        $this->statuses[$status] = ($this->statuses[$status] ?? 0) + 1;
        $this->took[] = 1000 * (float) curl_getinfo($handle, CURLINFO_TOTAL_TIME);
        if ($status === 200 || $status === 204) {
            array_push($member->acknowledged, ...$ids);
            $member->marked = $marks + $member->marked;
            if ($member->asked !== null && $ids === []) {
                $member->hears((array) json_decode((string) curl_multi_getcontent($handle), true));
            }
        }
        curl_multi_remove_handle($this->multi, $handle);
    }

    /** All of it seen and nothing answered. */
    private function handIn(Sitting $sitting): void
    {
        $now = (int) $sitting->refresh()->started_ms;
        $this->closing->handIn(
            sitting: $sitting,
            tab: self::TAB,
            events: array_map(
                fn (int $position): Event => new Event(
                    id: "seen-{$position}",
                    seq: $position + 2,
                    kind: EventKind::Shown,
                    at: $now,
                    madeAt: $now,
                    position: $position,
                ),
                range(0, $sitting->questions - 1),
            ),
            awake: Awake::unknown(),
        );
    }

    /** @return list<list<string>> */
    private function options(Sitting $sitting): array
    {
        $shown = DB::table('test_items')
            ->join('question_versions', 'question_versions.id', '=', 'test_items.version_id')
            ->where('test_id', $sitting->test_id)
            ->orderBy('position')
            ->pluck('shown')
            ->all();

        return array_values(
            array_map(
                fn (mixed $json): array => array_column(json_decode((string) $json, true)['options'], 'id'),
                $shown,
            ),
        );
    }
}
