@php
    use Nomada\App\Support\Words;
    $faults = count($data->faults);
@endphp
<x-app title="Import a school">
    <div class="bar">
        <h1>What is in it</h1>
        <div class="sum">{{ $data->school['name'] ?? 'no school' }} · <span
                @class(['bad' => $faults > 0])>{{ $faults === 0 ? 'no faults' : Words::count($faults,
                    'fault') }}</span>{{ $data->warnings === [] ? '' : ' · ' . Words::count(count($data->warnings), 'warning') }}
        </div>
    </div>
    @error('take_good')
        <p class="fault" role="alert">{{ $message }}</p>
    @enderror
    <div class="columns mt-3">
        <div>
            @if ($faults + count($data->warnings) > 0)
                <table class="table-plain">
                    <thead>
                        <tr>
                            <th scope="col"></th>
                            <th scope="col">File</th>
                            <th scope="col" class="num">Line</th>
                            <th scope="col">Column</th>
                            <th scope="col">Expected</th>
                            <th scope="col">Found</th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach (array_slice([...$data->faults, ...$data->warnings], 0, 500) as $f)
                            <tr>
                                <td class="{{ $f->warning ? 'todo' : 'bad' }}">{{ $f->warning ? 'warning' : 'fault' }}</td>
                                <td>{{ $f->file }}</td>
                                <td class="num">{{ $f->line ?: '' }}</td>
                                <td>{{ $f->column }}</td>
                                <td>{{ $f->expected }}</td>
                                <td class="mono">{{ Str::limit($f->found, 60) }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
                @if ($faults + count($data->warnings) > 500)
                    <p class="quiet">The first 500 are shown. The whole list: <span class="mono">php artisan nomada:import PATH
                            --json</span></p>
                @endif
            @else<p class="good">Every row is good.</p>
            @endif
        </div>
        <div>
            <section class="card-s">
                <h2>Good rows</h2>
                <dl class="pairs">
                    @foreach ($data->counts() as $kind => $n)
                        <dt>{{ $kind }}</dt>
                        <dd>{{ number_format($n) }}</dd>
                    @endforeach
                </dl>
            </section>
            <form method="post" action="{{ route('import.take', $key) }}">@csrf
                @if ($faults > 0)
                    <p class="warn">With faults nothing is saved, unless you take the good rows.</p><input type="hidden" name="take_good"
                        value="1"><button class="btn btn-wrong mt-2">Take the good rows</button>
                @else<button class="btn btn-main">Save</button>
                @endif
                <a class="btn btn-side {{ $faults > 0 ? 'mt-2' : '' }}" href="{{ route('import') }}">Choose other files</a>
            </form>
        </div>
    </div>
</x-app>
