<?php

declare(strict_types=1);

namespace Nomada\Standins;

/** Documents with versions: PUT with If-Match or If-None-Match, GET and DELETE, as RFC 9110 has them. */
final readonly class Documents
{
    public function __construct(private Store $store, private string $service)
    {
    }

    public function answer(Request $request, string $path, string $owner, string $type): Answer
    {
        $row = $this->store->one('select * from documents where service = ? and path = ?', [$this->service, $path]);
        switch ($request->method) {
            case 'GET':
                return $row === null
                    ? throw new Refusal(404, 'There is nothing here.')
                    : new Answer(200, (string) $row['body'], [
                        'Content-Type' => (string) $row['type'],
                        'ETag' => (string) $row['etag'],
                    ]);
            case 'DELETE':
                $this->store->run('delete from documents where service = ? and path = ?', [$this->service, $path]);

                return $row === null ? throw new Refusal(404, 'There is nothing here.') : new Answer(204);
            case 'PUT':
                return $this->put($request, $path, $owner, $type, $row);
        }
        throw new Refusal(405, 'GET, PUT or DELETE was expected.');
    }

    /** @param  array<string, mixed>|null  $row */
    private function put(Request $request, string $path, string $owner, string $type, ?array $row): Answer
    {
        $etag = '"'.substr(hash('sha256', $request->body), 0, 20).'"';
        if ($request->header('if-none-match') === '*' && $row !== null) {
            throw new Refusal(412, 'There is already something here.');
        }
        if (
            $request->header('if-match') !== '' &&
            ($row === null || $request->header('if-match') !== $row['etag'])
        ) {
            throw new Refusal(
                412,
                $row === null ? 'It was deleted in the meantime.' : 'It was changed in the meantime.',
            );
        }
        $this->store->run(
            'insert into documents (service, path, owner, type, body, etag) values (?, ?, ?, ?, ?, ?) on conflict
                (service, path) do update set type = excluded.type, body = excluded.body, etag = excluded.etag,
                changed_at = now()',
            [$this->service, $path, $owner, $type, $request->body, $etag],
        );

        return new Answer($row === null ? 201 : 204, '', ['ETag' => $etag]);
    }

    /** @return list<array<string, mixed>> */
    public function of(string $owner): array
    {
        return $this->store->all(
            'select path, body, etag, changed_at from documents where service = ? and owner = ? order by path',
            [$this->service, $owner],
        );
    }
}
