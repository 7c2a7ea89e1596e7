<?php

declare(strict_types=1);

namespace App\Bench;

use App\Account\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** What pages are measured against: signed-in routes that do one thing by hand. There are none but in a bench. */
final class BareController
{
    public const TABLE = 'bench_rows';

    /** As somebody would write them who wants nothing but the figures. The candidate is :user. */
    private const STATEMENTS = [
        'count' => 'select topic_id, count(*) from questions where exam_id = 1 and retired_at is null
            group by topic_id',
        'count-new' => 'select q.topic_id, count(*) from questions q left join standings s on s.question_id = q.id
            and s.user_id = :user where q.exam_id = 1 and q.retired_at is null and s.outcome is null
            group by q.topic_id',
        'count-missed' => "select q.topic_id, count(*) from standings s join questions q on q.id = s.question_id
            where s.user_id = :user and s.exam_id = 1 and s.outcome = 'missed' and q.retired_at is null
            group by q.topic_id",
        'count-hard' => "select topic_id, count(*) from questions where exam_id = 1 and retired_at is null
            and difficulty = 'hard' group by topic_id",
        'count-year' => "select topic_id, count(*) from questions where exam_id = 1 and retired_at is null and id in
            (select question_id from question_tags where family = 'year' and value = '2020') group by topic_id",
        'count-words' => "select topic_id, count(*) from questions where exam_id = 1 and retired_at is null and id in
            (select rowid from question_texts where question_texts match 'fog') group by topic_id",
        // The first page, whole, of what is new.
        'picks' => 'select q.id, q.kind, q.difficulty, t.name, v.shown, s.outcome, count(*) over () as n
            from questions q left join standings s on s.question_id = q.id and s.user_id = :user
            join topics t on t.id = q.topic_id join question_versions v on v.id = q.version_id
            where q.exam_id = 1 and q.retired_at is null and s.outcome is null order by q.topic_id, q.id limit 25',
        'answers' => 'select o.question_id, o.share, o.settled_ms, q.topic_id, q.b, q.luck from outcomes o
            join questions q on q.id = o.question_id where o.user_id = :user order by o.question_id, o.settled_ms',
        // What was met by topic and outcome, and what of it is due: the rows that Today counts.
        'today' => 'select topic_id, outcome, count(*), sum(flagged), sum(due_day is not null and due_day <= 20780)
            from standings where user_id = :user and exam_id = 1 group by topic_id, outcome',
        'gaps' => "select s.question_id, s.topic_id, s.gap, s.gap_day, t.value from standings s
            left join question_tags t on t.question_id = s.question_id and t.family = '_reads'
            where s.user_id = :user and s.exam_id = 1 and s.gap is not null order by s.gap_day desc",
        'library' => "select s.question_id, s.outcome, s.seen_ms from standings s where s.user_id = :user
            and s.exam_id = 1 and s.question_id in (select rowid from question_texts where question_texts match 'fog')
            order by s.seen_ms desc",
        'cards' => "select id from cards where user_id = :user and exam_id = 1 and (front like '%fog%' or
            back like '%fog%') order by due_day",
        'due' => 'select due_day, count(*) from standings where user_id = :user and exam_id = 1
            and due_day is not null group by due_day',
        'tests' => 'select s.*, t.title, t.user_id as maker, t.recipe_id from sittings s
            join tests t on t.id = s.test_id
            where s.user_id = :user and s.exam_id = 1 and s.deleted_at is null order by s.created_at desc limit 50',
        'booklet' => "select v.shown, i.position, i.marks from test_items i join question_versions v
            on v.id = i.version_id join tests t on t.id = i.test_id
            where t.title = 'The long one' order by i.position",
        // Two of the dozen filters.
        'facets' => 'select t.family, t.value, count(*) from question_tags t join questions q on q.id = t.question_id
            left join standings s on s.question_id = q.id and s.user_id = :user where q.exam_id = 1
            and q.retired_at is null and s.outcome is null group by t.family, t.value',
        // The questions of a topic.
        'adaptive' => 'select q.id, q.unit_id, q.b, q.luck, s.outcome from questions q left join standings s
            on s.question_id = q.id and s.user_id = :user where q.exam_id = 1 and q.retired_at is null
            and q.topic_id in
            (select id from topics where parent_id = (select min(id) from topics where exam_id = 1))',
        'draw' => 'select id from questions where exam_id = 1 and retired_at is null order by random() limit 200',
        'draw-seen' => 'select q.id from questions q left join standings s on s.question_id = q.id
            and s.user_id = :user where q.exam_id = 1 and q.retired_at is null order by s.seen_ms, random() limit 200',
        'result' => "select o.*, v.shown, v.withheld from outcomes o join question_versions v on v.id = o.version_id
            join sittings s on s.id = o.sitting_id join tests t on t.id = s.test_id
            where t.title = 'The long one' and s.user_id = :user order by o.position",
    ];

    public function nothing(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(['name' => $user->name]);
    }

    public function row(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $data = $request->validate(['tab' => ['required', 'string'], 'events' => ['required', 'array']]);
        $value = json_encode($data, JSON_THROW_ON_ERROR);
        DB::transaction(fn () => DB::table(self::TABLE)->insert(['user_id' => $user->id, 'value' => $value]));

        return new JsonResponse(['kept' => true]);
    }

    public function statement(string $name, #[CurrentUser] User $user): JsonResponse
    {
        $sql = self::STATEMENTS[$name] ?? throw new RuntimeException("There is no statement {$name}.");

        return new JsonResponse(DB::select($sql, str_contains($sql, ':user') ? ['user' => $user->id] : []));
    }
}
