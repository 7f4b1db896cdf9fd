using Yuntak.Web.Starting;

return Verbs.Knows(args) ? Verbs.Run(args) : await Serve.RunAsync(args);
