@props(['page'])
<x-app :title="__('wishes.title')">
    <x-page-head :title="__('wishes.title')" :sum="__('wishes.sum')">
        <x-timetable-more />
    </x-page-head>
    <x-faults class="fault" :of="['teacher', 'wish_weekday', 'wish_open', 'wish_close']" />
    @if ($page->wishes === [])
        <x-empty :title="__('wishes.none')">{{ __('wishes.none_hint') }}</x-empty>
    @else
        <table class="table-plain">
            <thead>
                <tr>
                    <th scope="col">{{ __('wishes.teacher') }}</th>
                    <th scope="col">{{ __('wishes.when') }}</th>
                    <th scope="col">{{ __('wishes.counts') }}</th>
                    <th scope="col"><span class="visually-hidden">{{ __('wishes.remove') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($page->wishes as $wish)
                    <tr>
                        <td>{{ $wish['teacher'] }}</td>
                        <td>{{ $wish['when'] }}</td>
                        <td>{{ __($wish['isRule'] ? 'wishes.rule' : 'wishes.wish') }}
                            @can('coordinate')
                                <form class="d-inline" method="post" action="{{ route('wishes.rule', $wish['id']) }}">@csrf @method('put')
                                    <input type="hidden" name="is_rule" value="{{ $wish['isRule'] ? 0 : 1 }}">
                                    <button
                                        class="btn btn-plain py-0">{{ __($wish['isRule'] ? 'wishes.make_wish' : 'wishes.make_rule') }}<span
                                            class="visually-hidden">: {{ $wish['teacher'] }}, {{ $wish['when'] }}</span></button>
                                </form>
                            @endcan
                        </td>
                        <td><x-act :to="route('wishes.destroy', $wish['id'])" method="delete" class="btn-plain py-0"
                            :do="__('wishes.remove')" :about="$wish['teacher'] . ', ' . $wish['when']" /></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    <form class="card-s mt-3" method="post" action="{{ route('wishes.store') }}">@csrf
        <h2>{{ __('wishes.add') }}</h2>
        <div class="fix-question">
            @if ($page->teachers !== [])
                <label for="teacher">{{ __('wishes.teacher') }}</label>
                <select class="form-select w-auto" id="teacher" name="teacher" required>
                    <option value=""></option>
                    @foreach ($page->teachers as $id => $name)
                        <option value="{{ $id }}" @selected((int) old('teacher') === $id)>{{ $name }}</option>
                    @endforeach
                </select>
            @endif
            <label for="wish_weekday">{{ __('wishes.day') }}</label>
            <select class="form-select w-auto" id="wish_weekday" name="wish_weekday">
                @foreach ($page->weekdays as $weekday => $name)
                    <option value="{{ $weekday }}" @selected((int) old('wish_weekday') === $weekday)>{{ $name }}</option>
                @endforeach
            </select>
            <span>{{ __('wishes.between') }}</span>
            <span class="inline"><x-from-to :names="['wish_open', 'wish_close']" /></span>
        </div>
        <p class="quiet">{{ __('wishes.hint') }}</p>
        <button class="btn btn-main">{{ __('wishes.add') }}</button>
    </form>
</x-app>
