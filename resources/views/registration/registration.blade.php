@php
    use Nomada\App\Support\Words;
    $base = url('/sections');
@endphp
<x-app title="Registration">
    <div class="bar">
        <h1>Registration</h1>
        <div class="sum">{{ Words::count($all, 'series', 'series') }} · <span
                @class(['todo' => $left > 0])>{{ $left === 0 ? 'every roster is registered' : Words::count($left, 'roster')
                    . ' not fully registered' }}</span>
        </div>
        @include('registration.tabs', ['at' => 'rosters'])
    </div>
    <div class="bar thin">
        <nav aria-label="Show"><a @class(['pill', 'on' => $show !== 'left']) href="{{ route('registration') }}">All {{ $all }}</a><a
                @class(['pill', 'on' => $show === 'left']) href="{{ route('registration', ['show' => 'left']) }}">To register
                {{ $left }}</a></nav>
    </div>
    @if ($rows === [])
        <div class="empty">
            <h2>{{ $all === 0 ? 'No series yet' : 'Every roster is registered' }}</h2>
            {{ $all === 0
                ? 'A series with dated sessions takes registrations; plan one first.'
                : 'Late joiners get their link with the next import.' }}
        </div>
    @else
        <form method="post" action="{{ route('rosters.store') }}" x-data="board">@csrf
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col"><input class="form-check-input" type="checkbox" x-ref="all" x-on:change="chooseAll"
                                aria-label="Choose all"></th>
                        <th scope="col">Series</th>
                        <th scope="col" class="num">On the roster</th>
                        <th scope="col" class="num">Registered</th>
                        <th scope="col">What is left</th>
                        <th scope="col">How</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($rows as $row)
                        <tr>
                            <td><input class="form-check-input" type="checkbox" name="sections[]" value="{{ $row->section }}"
                                    data-name="{{ $row->name }}" aria-label="Choose {{ $row->name }}"></td>
                            <td><a
                                    href="{{ $base . '/' . rawurlencode($row->section) }}"><b>{{ $row->name }}</b></a>{{ $row->title === ''
                                        ? '' : ': ' . $row->title }}
                            </td>
                            <td class="num">{{ $row->roster }}</td>
                            <td class="num">{{ $row->registered }}</td>
                            <td>
                                @if ($row->registered < $row->roster)
                                <span class="todo">{{ $row->roster - $row->registered }} to register</span>@else<span
                                        class="ok">nothing</span>
                                @endif
                            </td>
                            <td><a
                                    href="{{ $base . '/' . rawurlencode($row->section) . '/series/' . $row->id
                                        . '/joining#registering' }}">{{ $row->registering ?? 'follows the roster' }}</a>
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <div class="tray" role="region" aria-label="What to do with the chosen sections"><b x-text="words()">Chosen</b><span
                    class="names" x-text="names"></span><button class="btn btn-side" type="button" x-on:click="clear">None</button><label
                    class="nowrap"><input class="form-check-input" type="checkbox" name="write" value="1"> and write to
                    everybody</label><button class="btn btn-main">Register roster</button></div>
        </form>
    @endif
</x-app>
