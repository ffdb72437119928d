@php use Nomada\App\Support\Words; @endphp
<x-app title="Letters">
    <div class="bar">
        <h1>Registration</h1>
        <div class="sum">{{ Words::count($sent, 'letter') }} sent{{ $stuck->isEmpty() ? '' : ', ' }}@if ($stuck->isNotEmpty())
                <span class="bad">{{ $stuck->count() }} did not go</span>
            @endif
        </div>
        @include('registration.tabs', ['at' => 'letters'])
    </div>
    <div class="bar thin">
        <nav aria-label="Kind of letter">
            @foreach ($kinds as $k)
                <a @class(['pill', 'on' => $k === $kind]) href="{{ route('letters', ['kind' => $k->value]) }}">{{ $k->title() }}</a>
            @endforeach
        </nav>
    </div>
    <div class="columns mt-3">
        <div>
            <section class="card-s">
                <h2>{{ $kind->title() }}: the words</h2>
                <form method="post" action="{{ route('letters.update', $kind->value) }}">@csrf<x-drawn :of="'letter:' . $kind->value" />
                    @method('put')
                    <label for="subject">Subject</label><input class="form-control mb-2" id="subject" name="subject" maxlength="200"
                        value="{{ old('subject', $template->subject) }}">
                    @error('subject')
                        <div class="invalid" role="alert">{{ $message }}</div>
                    @enderror
                    <label for="text">Text</label>
                    <textarea class="form-control" id="text" name="text" rows="13" maxlength="8000">{{ old('text',
                        $template->text) }}</textarea>
                    @error('text')
                        <div class="invalid" role="alert">{{ $message }}</div>
                    @enderror
                    <p class="quiet mt-2">In braces: @foreach ($kind->placeholders() as $p => $example)
                            <code>{{ '{' . $p . '}' }}</code>{{ $loop->last ? '.' : ', ' }}
                            @endforeach @if ($kind->needs() !== [])
                                It has to have <code>{{ '{' . implode('}, {', $kind->needs()) . '}' }}</code>.
                            @endif
                    </p>
                    <button class="btn btn-main">Keep these words</button>
                </form>
                @if ($isOwn)
                    <form class="mt-2" method="post" action="{{ route('letters.destroy', $kind->value) }}">@csrf
                        @method('delete')<button class="btn btn-side">Back to the usual words</button></form>
                @endif
            </section>
        </div>
        <div>
            <section class="card-s">
                <h2>As it would arrive</h2>
                <p><b>{{ $subject }}</b></p>
                <pre class="invitation">{{ $text }}</pre>
            </section>
            @if ($stuck->isNotEmpty())
                <section class="card-s">
                    <h2>Did not go</h2>
                    <ul class="legend">
                        @foreach ($stuck as $l)
                            <li>{{ $l->kind->title() }} to {{ $l->to_name }}: {{ $l->trouble }}</li>
                        @endforeach
                    </ul>
                </section>
            @endif
        </div>
    </div>
</x-app>
